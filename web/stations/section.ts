import { wheelDrawing } from '../../core/drive/index.ts';
import type { GearDrawing } from '../../core/involute/index.ts';
import { stationOf, type PartPlan } from '../../core/plan/index.ts';

/** The teeth of a part as they are drawn, and how far above their outside its depths are counted from, mm. */
export interface Section {
  readonly drawing: GearDrawing;
  readonly above: number;
}

/** A gear’s own section, or that of a worm wheel through the middle of its face; null while not known. */
export function sectionOf(planned: PartPlan): Section | null {
  const own = stationOf(planned, 'blank')?.detail.drawing;
  if (own) return { drawing: own, above: 0 };
  const drive = stationOf(planned, 'wheelBlank')?.detail.drive;
  const infeed = stationOf(planned, 'wheel')?.detail.infeed;
  // a wheel’s depth may be counted from the corners of its rim, which stand above the throat
  return drive
    ? {
        drawing: wheelDrawing(drive),
        above: (infeed?.fromCorners ?? infeed?.fromThroat ?? 0) - (infeed?.fromThroat ?? 0),
      }
    : null;
}
