import type { FormGround } from '../../core/cutter/index.ts';
import type { Continuation, Template } from '../../core/toothform/index.ts';
import type { CutterErrors } from './formWork.ts';
import { useAnswer } from './useAnswer.ts';

/** What each cutter of a comparison leaves on the flank. @returns null while it is being worked out */
export function useFormErrors(ground: FormGround | null): readonly CutterErrors[] | null {
  return useAnswer(ground && JSON.stringify(ground), (remote, asked) =>
    remote.errorsOf(JSON.parse(asked) as FormGround),
  );
}

/** A template for a tool ground to this very count. @returns null while it is being worked out, or the scale cannot be used */
export function useTemplate(
  ground: FormGround | null,
  continuation: Continuation,
  scale: number | null,
  as: 'form' | 'buttons',
  title: string,
): Template | null {
  const question = ground && scale ? JSON.stringify([ground, continuation, scale, as, title]) : null;
  return useAnswer(question, (remote, asked) => {
    const [of, how, times, kind, name] = JSON.parse(asked) as [
      FormGround,
      Continuation,
      number,
      'form' | 'buttons',
      string,
    ];
    return remote.template(of, how, times, kind, name);
  });
}
