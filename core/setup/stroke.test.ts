import { describe, expect, test } from '@jest/globals';
import { approachOf, CLEAR_BY, firstTouchReads, strokeOf } from './index.ts';

/**
 * Does a disk on a swung arbor touch a round blank? By points of its rim against the cylinder between its
 * faces.
 */
function touches(
  x: number,
  { D, w, h, b, R, face }: { D: number; w: number; h: number; b: number; R: number; face: number },
): boolean {
  const axis = R - h + D / 2;
  for (let i = 0; i < 3000; i += 1) {
    const t = Math.PI + (Math.PI * i) / 3000;
    for (const v of [-w / 2, -w / 4, 0, w / 4, w / 2]) {
      const u = (D / 2) * Math.cos(t);
      const along = x + u * Math.cos(b) + v * Math.sin(b);
      const across = -u * Math.sin(b) + v * Math.cos(b);
      const up = axis + (D / 2) * Math.sin(t);
      if (Math.abs(along) < face / 2 && Math.hypot(across, up) < R - 1e-6) return true;
    }
  }
  return false;
}

describe('approach and stroke, against a drawn disk and blank', () => {
  const firstTouch = (of: Parameters<typeof touches>[1]): number => {
    let [clear, in_] = [of.face / 2 + of.D, of.face / 2];
    for (let i = 0; i < 40; i += 1) {
      const mid = (clear + in_) / 2;
      if (touches(mid, of)) in_ = mid;
      else clear = mid;
    }
    return clear - of.face / 2;
  };
  test.each([
    { D: 60, w: 6, h: 2.25, b: 0, R: 45, face: 12 },
    { D: 50, w: 4, h: 4.5, b: 0, R: 20, face: 20 },
    { D: 75, w: 8, h: 11, b: 0, R: 80, face: 8 },
  ])('straight teeth: $D over $h', (of) => {
    const approach = approachOf({ depth: of.h, cutterDiameter: of.D, cutterWidth: of.w, helixDeg: 0 });
    // the rim is a row of points: it touches a hair later than the circle
    expect(firstTouch(of)).toBeLessThanOrEqual(approach + 1e-6);
    expect(firstTouch(of)).toBeGreaterThan(approach - 0.03);
  });
  test.each([15, 30, 45])('at %d° it is never said to be clear too soon', (deg) => {
    const of = { D: 60, w: 6, h: 3, b: (deg * Math.PI) / 180, R: 30, face: 15 };
    const said = approachOf({ depth: of.h, cutterDiameter: of.D, cutterWidth: of.w, helixDeg: deg });
    const found = firstTouch(of);
    expect(found).toBeLessThanOrEqual(said + 0.01);
    // the blank falls away to the sides, so it is a little less, and not much
    expect(found).toBeGreaterThan(said * 0.8);
  });
  test('readings from the first touch: over the face, through, clear; the travel either way', () => {
    const stroke = strokeOf({ depth: 2.25, cutterDiameter: 60, cutterWidth: 6, face: 12, helixDeg: 0 });
    expect(stroke.approach).toBeCloseTo(Math.sqrt(2.25 * 57.75), 9);
    expect(stroke.through).toBeCloseTo(stroke.approach + 12, 9);
    expect(stroke.clearAfter).toBeCloseTo(2 * stroke.approach + 12, 9);
    expect(stroke.travel.exit - stroke.travel.entry).toBeCloseTo(stroke.approach + CLEAR_BY, 9);
  });
});

describe('what the table is set to where the cutter first touches', () => {
  /**
   * A disk with flanks at 20° and a flat of 1 mm, so deep over a space it has cut before: how far before the
   * face it meets metal.
   */
  function meets({ D, h, p }: { readonly D: number; readonly h: number; readonly p: number }): number {
    const slope = Math.tan(Math.PI / 9);
    const isMetal = (across: number, up: number): boolean =>
      up < 0 && (up < -p || Math.abs(across) > 0.5 + (up + p) * slope + 1e-9);
    const touchesAt = (before: number): boolean => {
      for (let across = 0; across < 4; across += 0.02) {
        const radius = D / 2 - Math.max(0, across - 0.5) / slope;
        // of the disk's circle at that side only what is level with the face or past it can touch
        const reach = Math.sqrt(Math.max(0, radius ** 2 - before ** 2));
        if (radius > before && isMetal(across, D / 2 - h - reach)) return true;
      }
      return false;
    };
    let [clear, touching] = [D, 0];
    for (let i = 0; i < 50; i += 1) {
      const mid = (clear + touching) / 2;
      if (touchesAt(mid)) touching = mid;
      else clear = mid;
    }
    return clear;
  }
  test.each([
    { D: 60, h: 2.875, p: 0, deepest: 3.375 },
    { D: 60, h: 3.375, p: 2.875, deepest: 3.375 },
    { D: 80, h: 6.75, p: 6.7, deepest: 6.75 },
  ])('$h mm deep where it is cut to $p: 0 is then the touch at $deepest', ({ D, h, p, deepest }) => {
    const of = { cutter: { diameter: D, width: 6, teeth: 12, picked: true }, helixDeg: 0 };
    const full = meets({ D, h: deepest, p: 0 });
    const reads = firstTouchReads(of, Math.sqrt(deepest * (D - deepest)), { depth: h, cutTo: p })!;
    expect(reads).toBeCloseTo(full - meets({ D, h, p }), 2);
  });
  test('by hand: Ø 60, rough 2.875 of 3.375: √(3.375 · 56.625) - √(2.875 · 57.125) = 13.824 - 12.815', () => {
    const of = { cutter: { diameter: 60, width: 6, teeth: 12, picked: true }, helixDeg: 0 };
    expect(firstTouchReads(of, 13.8242, { depth: 2.875, cutTo: 0 })).toBeCloseTo(1.0087, 3);
    expect(firstTouchReads(of, 13.8242, { depth: 3.375, cutTo: 0 })).toBeCloseTo(0, 3);
    const unknown = { ...of, cutter: { ...of.cutter, diameter: null } };
    expect(firstTouchReads(unknown, 13.8242, { depth: 2.875, cutTo: 0 })).toBeNull();
  });
});
