import { describe, expect, test } from '@jest/globals';
import type { FormGround } from '../../core/cutter/index.ts';
import { diskErrors, formErrors } from '../../core/toothform/index.ts';
import { errorsOf, template } from './formWork.ts';

const form = { teeth: 30, module: 2, pressureAngle: Math.PI / 9, addendum: 2, wholeDepth: 4.5, thinning: 0 };
const ground = (more: Partial<FormGround> = {}): FormGround => ({
  form,
  helixDeg: 0,
  cutterDiameter: null,
  compare: [
    { name: 'Whole', madeFor: 26 },
    { name: 'Half', madeFor: 30 },
  ],
  ...more,
});

describe('what is worked out off the drawing thread', () => {
  test('a spur gear: each cutter of the comparison by its own count', () => {
    const [whole, half] = errorsOf(ground());
    expect(whole).toEqual({ name: 'Whole', madeFor: 26, ...formErrors(form, 26) });
    expect(half!.worst).toBeLessThan(1e-6);
  });

  test('a helical gear: by the disk where its diameter is known, else by the virtual count', () => {
    const compare = [{ name: 'A', madeFor: 35 }];
    const [disk] = errorsOf(ground({ helixDeg: 20, cutterDiameter: 56, compare }));
    expect(disk!.flank).toEqual(diskErrors({ form, helixAngle: Math.PI / 9, cutterDiameter: 56 }, 35).flank);
    const [flat] = errorsOf(ground({ helixDeg: 20, compare }));
    // 30/cos³20° = 36.15
    expect(flat!.flank).toEqual(formErrors({ ...form, teeth: 30 / Math.cos(Math.PI / 9) ** 3 }, 35).flank);
  });

  test('a template of a helical gear is drawn for its virtual count', () => {
    const straight = template(ground(), { continuation: 'radial', scale: 10, as: 'form', title: 'x' });
    const helical = template(ground({ helixDeg: 30 }), {
      continuation: 'radial',
      scale: 10,
      as: 'form',
      title: 'x',
    });
    const wide = (of: typeof straight) => of.sizes.find(({ name }) => name === 'width at the outside')!.mm;
    // more teeth, straighter flanks: the space is narrower at the outside
    expect(wide(helical)).toBeLessThan(wide(straight));
  });

  test('what goes between threads is plain data', () => {
    const work = [
      errorsOf(ground()),
      template(ground(), { continuation: 'trochoid', scale: 20, as: 'buttons', title: 'x' }),
    ];
    expect(structuredClone(work)).toEqual(work);
  });
});
