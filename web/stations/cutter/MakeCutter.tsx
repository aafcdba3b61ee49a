import { Segmented } from 'antd';
import { useState } from 'react';
import type { CutterChoice } from '../../../core/cutter/index.ts';
import { FRONT_RELIEF, readScale, SIDE_RELIEF, type Template } from '../../../core/toothform/index.ts';
import { decimalText, measure } from '../../../core/units/index.ts';
import { MeasureField } from '../../fields/index.ts';
import { TemplateSheet } from '../../template/index.ts';
import { useTemplate, WorkBroke } from '../../workers/index.ts';
import type { StationProps } from '../../panel/index.ts';

const CONTINUATIONS = [
  { value: 'trochoid', label: 'as a rack cuts' },
  { value: 'radial', label: 'straight' },
] as const;

/**
 * A tool made for this very count: a ground single point, or a form turned with two buttons; drawn, sized,
 * and as files.
 */
export function MakeCutter({ station, part, units, editPart, planned, job }: StationProps<'cutter'>) {
  const [as, setAs] = useState<'form' | 'buttons'>('form');
  const { ground } = station.detail;
  const { continuation, scale } = part.cutter;
  const times = readScale(scale.typed);
  const set = (change: Partial<CutterChoice>) =>
    editPart((now) => ({ ...now, cutter: { ...now.cutter, ...change } }));
  const gear = planned.stations[0]?.answer ?? '';
  const { found: template, broken } = useTemplate(ground, {
    continuation,
    scale: times,
    as,
    title: `${job.name}: ${gear}`,
  });
  if (!ground) return null;
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
            issues={
              times === null
                ? [
                    {
                      code: 'out-of-range',
                      path: '',
                      severity: 'wrong',
                      given: scale.typed,
                      allowed: 'A template is drawn 1 to 200 times life size',
                      detail: { what: 'A scale' },
                    },
                  ]
                : []
            }
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
        <WorkBroke what="Drawing the template" broken={broken} />
        {template && (
          <TemplateSheet template={template} units={units} file={`tool-${ground.form.teeth}-teeth`}>
            {as === 'buttons' && <ButtonSays template={template} />}
            {as === 'form' && (
              <p className="said">
                Grind {FRONT_RELIEF}° of relief below the tip and {SIDE_RELIEF}° at the sides; the face on the
                centre line, no rake in brass. One tooth, one cut a turn: slow and jarring, good in brass and
                aluminium, hard on a light machine in iron. Eye protection at the grinder, rest close to the
                wheel; your machine’s manual and shop rules come first.
              </p>
            )}
          </TemplateSheet>
        )}
      </div>
    </details>
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
