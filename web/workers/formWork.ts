import { radiansOf } from '../../core/units/index.ts';
import type { FormGround } from '../../core/cutter/index.ts';
import {
  diskErrors,
  formErrors,
  templateOf,
  virtualTeeth,
  type Continuation,
  type FormErrors,
  type Template,
  type ToothForm,
} from '../../core/toothform/index.ts';

export interface CutterErrors extends FormErrors {
  readonly name: string;
  readonly madeFor: number;
}

const radians = ({ helixDeg }: FormGround): number => radiansOf(helixDeg);

/** The space as a straight cutter meets it: a helical gear’s by its virtual count. */
function flatForm(ground: FormGround): ToothForm {
  const { form, helixDeg } = ground;
  if (helixDeg === 0) return form;
  return {
    ...form,
    teeth: virtualTeeth({
      teeth: form.teeth,
      helixAngle: radians(ground),
      normalModule: form.module,
      cutterDiameter: null,
    }).book,
  };
}

/**
 * What each cutter leaves; on a helical gear by the disk in the helicoid, where the cutter’s diameter is
 * known.
 */
export function errorsOf(ground: FormGround): readonly CutterErrors[] {
  const { form, helixDeg, cutterDiameter, compare } = ground;
  return compare.map(({ name, madeFor }) => ({
    name,
    madeFor,
    ...(helixDeg !== 0 && cutterDiameter !== null
      ? diskErrors({ form, helixAngle: radians(ground), cutterDiameter }, madeFor)
      : formErrors(flatForm(ground), madeFor)),
  }));
}

export const template = (
  ground: FormGround,
  {
    continuation,
    scale,
    as,
    title,
  }: {
    readonly continuation: Continuation;
    readonly scale: number;
    readonly as: 'form' | 'buttons';
    readonly title: string;
  },
): Template => templateOf({ form: flatForm(ground), continuation, scale, as, title });
