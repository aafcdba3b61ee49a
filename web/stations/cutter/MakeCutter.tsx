import { Button, Segmented } from 'antd';
import { line } from 'd3';
import { useState } from 'react';
import type { CutterChoice } from '../../../core/cutter/index.ts';
import type { Point } from '../../../core/involute/index.ts';
import { FRONT_RELIEF, readScale, SIDE_RELIEF, type Template } from '../../../core/toothform/index.ts';
import { decimalText, measure, type UnitSystem } from '../../../core/units/index.ts';
import { Length, MeasureField } from '../../fields/index.ts';
import { Notice, saveText } from '../../frame/index.ts';
import { useTemplate } from '../../workers/index.ts';
import type { StationProps } from '../panel.ts';

const path = line<Point>(
  ({ x }) => x,
  ({ y }) => -y,
);

const CONTINUATIONS = [
  { value: 'trochoid', label: 'as a rack cuts' },
  { value: 'radial', label: 'straight' },
] as const;

/** A tool made for this very count: a ground single point, or a form turned with two buttons; drawn, sized, and as files. */
export function MakeCutter({ station, part, units, editPart, planned, job }: StationProps<'cutter'>) {
  const [as, setAs] = useState<'form' | 'buttons'>('form');
  const [failed, setFailed] = useState<string | null>(null);
  const { ground } = station.detail;
  const { continuation, scale } = part.cutter;
  const times = readScale(scale.typed);
  const set = (change: Partial<CutterChoice>) =>
    editPart((now) => ({ ...now, cutter: { ...now.cutter, ...change } }));
  const gear = planned.stations[0]?.answer ?? '';
  const template = useTemplate(ground, continuation, times, as, `${job.name}: ${gear}`);
  if (!ground) return null;
  const save = (kind: 'svg' | 'dxf') => {
    if (!template) return;
    setFailed(null);
    void import('../../template/index.ts')
      .then(({ templateDxf, templateSvg }) => (kind === 'svg' ? templateSvg(template) : templateDxf(template)))
      .then(
        (text) => saveText(`tool-${ground.form.teeth}-teeth.${kind}`, text, kind === 'svg' ? 'image/svg+xml' : 'application/dxf'),
        () => setFailed('The drawing could not be made. Ask again.'),
      );
  };
  return (
    <details className="schools" open={station.detail.chosen === null}>
      <summary>Make the cutter for this very count</summary>
      <div className="make-cutter">
        <Segmented
          aria-label="How it is made"
          options={[
            { value: 'form', label: 'Fly cutter, ground to form' },
            { value: 'buttons', label: 'Turned with two buttons' },
          ]}
          value={as}
          onChange={setAs}
        />
        <div className="fields">
          <MeasureField
            label="Times life size"
            value={scale}
            onChange={(next) => set({ scale: measure(next.typed, 'count') })}
            issues={times === null ? [{ code: 'out-of-range', path: '', severity: 'wrong', given: scale.typed, allowed: 'A template is drawn 1 to 200 times life size', detail: { what: 'A scale' } }] : []}
          />
          <div className="field">
            <span className="field-label">Below the base circle</span>
            <Segmented
              aria-label="Below the base circle"
              options={[...CONTINUATIONS]}
              value={continuation}
              onChange={(next) => set({ continuation: next })}
            />
          </div>
        </div>
        {template && (
          <>
            <TemplateView template={template} />
            <Sizes template={template} units={units} />
            {as === 'buttons' && <ButtonSays template={template} />}
            {as === 'form' && (
              <p className="said">
                Grind {FRONT_RELIEF}° of relief below the tip and {SIDE_RELIEF}° at the sides; the face on the
                centre line, no rake in brass. One tooth, one cut a turn: slow and jarring, good in brass and
                aluminium, hard on a light machine in iron. Eye protection at the grinder, rest close to the
                wheel; your machine’s manual and shop rules come first.
              </p>
            )}
            <div className="notice-actions">
              <Button onClick={() => save('svg')}>Save template as SVG</Button>
              <Button onClick={() => save('dxf')}>Save template as DXF</Button>
            </div>
          </>
        )}
        {failed && <Notice tone="wrong">{failed}</Notice>}
      </div>
    </details>
  );
} // prettier-ignore

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
    <table className="list">
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
    </table>
  );
}

function ButtonSays({ template }: { readonly template: Template }) {
  const { buttons } = template;
  return (
    <p className="said">
      {buttons
        ? `The arcs stay within ${decimalText(buttons.residual, 1)} µm of the true flank. Set the two buttons by their spacing, touch the cutter blank’s outside, and feed in by the infeed. Turn, gash and relieve the cutter before hardening; heat treating has hazards of its own, follow the steel maker’s sheet and your shop’s rules.`
        : 'This flank is too straight for buttons: grind a straight-sided tool to the form instead.'}
    </p>
  );
}
