import { type Exact } from '../units/index.ts';

/**
 * Lead of a helical gear: how far the helix goes on in one turn.
 * @param teeth whole, ≥ 1 @param normalModule mm @param helixAngle radians, more than 0 and less than π/2
 * @returns mm
 * Source: ISO 21771, L = π·z·m_n/sin β (= π·d/tan β)
 */
export function helixLead(teeth: number, normalModule: number, helixAngle: number): number {
  return (Math.PI * teeth * normalModule) / Math.sin(helixAngle);
}

/**
 * The helix angle at which a gear has a lead.
 * @param lead mm, > 0
 * @returns radians; null where the lead is shorter than any angle gives
 */
export function angleOfLead(teeth: number, normalModule: number, lead: number): number | null {
  const sine = (Math.PI * teeth * normalModule) / lead;
  return sine < 1 ? Math.asin(sine) : null;
}

/**
 * Lead of the machine: travel of the table for one turn of the spindle, geared one to one.
 * @param ratio R, turns of the worm for one of the spindle; 1 where the spindle is driven past the worm
 * @param screwLead mm, travel for one turn of the table screw
 * @returns mm, exact
 * Source: Machinery’s Handbook, helical milling: 40 : 1 and a screw of four threads to the inch give 10 in
 */
export const machineLead = (ratio: Exact, screwLead: Exact): Exact => ratio.mul(screwLead);
