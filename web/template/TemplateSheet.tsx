import { Button } from 'antd';
import { line } from 'd3-shape';
import { useState } from 'react';
import type { Point } from '../../core/involute/index.ts';
import type { Template } from '../../core/toothform/index.ts';
import { decimalText, type UnitSystem } from '../../core/units/index.ts';
import { Length } from '../fields/index.ts';
import { Notice, saveText, ListTable } from '../frame/index.ts';

const path = line<Point>(
  ({ x }) => x,
  ({ y }) => -y,
);

interface TemplateSheetProps {
  readonly template: Template;
  readonly units: UnitSystem;
  /** Of the files, without ending. */
  readonly file: string;
  /** What is to be said between the sizes and the files. */
  readonly children?: React.ReactNode;
}

/** A tool’s form drawn, its sizes to hold the ground one against, and the sheet as files. */
export function TemplateSheet({ template, units, file, children }: TemplateSheetProps) {
  const [failed, setFailed] = useState<string | null>(null);
  const save = (kind: 'svg' | 'dxf') => {
    setFailed(null);
    void import('./files.ts')
      .then(({ templateDxf, templateSvg }) =>
        kind === 'svg' ? templateSvg(template) : templateDxf(template),
      )
      .then(
        (text) => saveText(`${file}.${kind}`, text, kind === 'svg' ? 'image/svg+xml' : 'application/dxf'),
        () => setFailed('The drawing could not be made. Ask again.'),
      );
  };
  return (
    <>
      <TemplateView template={template} />
      <Sizes template={template} units={units} />
      {children}
      <div className="notice-actions">
        <Button onClick={() => save('svg')}>Save template as SVG</Button>
        <Button onClick={() => save('dxf')}>Save template as DXF</Button>
      </div>
      {failed && <Notice tone="wrong">{failed}</Notice>}
    </>
  );
}

/** The template on the screen, with its lines. */
function TemplateView({ template }: { readonly template: Template }) {
  const { outline, lines, circles } = template;
  const form = lines.filter(({ name }) => name !== 'check' && name !== 'relief');
  const points = [...outline, ...form.flatMap(({ from, to }) => [from, to])];
  const xs = points.map(({ x }) => x);
  const ys = points.map(({ y }) => -y);
  const [left, top] = [Math.min(...xs), Math.min(...ys)];
  const [wide, tall] = [Math.max(...xs) - left, Math.max(...ys) - top];
  const pad = wide * 0.03;
  return (
    <div className="on-dye make-sheet">
      <svg
        className="scribe-drawing"
        viewBox={`${left - pad} ${top - pad} ${wide + 2 * pad} ${tall + 2 * pad}`}
        role="img"
        aria-label="The tool’s form, with pitch line, outside and centre line"
      >
        <path d={`${path(outline) ?? ''}Z`} className="scribe-cutter" />
        {form.map(({ name, from, to }) => (
          <path
            key={name}
            d={`M${from.x} ${-from.y}L${to.x} ${-to.y}`}
            className={name === 'pitch line' ? 'scribe-pitch' : 'scribe-thin'}
          />
        ))}
        {circles.map(({ at, radius }) => (
          <circle key={at.x} cx={at.x} cy={-at.y} r={radius} className="scribe-mark" />
        ))}
      </svg>
    </div>
  );
}

function Sizes({ template, units }: { readonly template: Template; readonly units: UnitSystem }) {
  return (
    <ListTable file="template-sizes">
      <caption>To hold it against</caption>
      <thead>
        <tr>
          <th scope="col">Size</th>
          <th scope="col" className="num">
            Life size
          </th>
          <th scope="col" className="num">
            On the sheet
          </th>
        </tr>
      </thead>
      <tbody>
        {template.sizes.map(({ name, mm, printed }) => (
          <tr key={name}>
            <td>{name}</td>
            <td className="num">
              <Length mm={mm} units={units} />
            </td>
            <td className="num">{decimalText(printed, 2)} mm</td>
          </tr>
        ))}
      </tbody>
    </ListTable>
  );
}
