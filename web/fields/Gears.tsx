import { meshesOf, type Train } from '../../core/gearing/index.ts';

/** A train as it is said, broken over lines only between its meshes. */
export function Gears({ train }: { readonly train: Train }) {
  const meshes = meshesOf(train);
  return (
    <>
      {meshes.map(({ driver, driven }, i) => (
        <span key={i}>
          <span className="nowrap">
            {driver} : {driven}
            {i < meshes.length - 1 ? ',' : ''}
          </span>
          {i < meshes.length - 1 ? ' ' : ''}
        </span>
      ))}
    </>
  );
}
