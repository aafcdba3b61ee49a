/**
 * Six jobs as someone has them at the bench, each with the figures and habits of one and the same shop: what
 * has to stand on the card before the first cut. What stands there already is not typed again.
 *
 * A wish: at which station, in which field, and what is to stand there; or a button to press, unless the
 * station's answer shows that it was. Two of each kind, so that the second job shows what was remembered.
 */
const field = (at, name, is) => ({ at, name, is });
const press = (at, button, until) => ({ at, button, until });

/** How this shop works, whatever the gear. */
const depthRule = field('gear', 'Depth rule', 'Form cutter, 2.157');
const holding = [
  field('setup', 'Material', 'Bronze'),
  field('setup', 'The work is held', 'On a stub in the head'),
  field('setup', 'The head stands at the', 'right'),
  field('setup', 'The cutter turns', '↺ counter'),
  field('setup', 'The table moves, cutting, to the', 'left'),
  field('setup', 'Paper or feeler between', '0.03'),
  field('setup', 'By', 'Far face level'),
];
const passes = [
  field('cut', 'Passes', 'Rough, then finish'),
  field('cut', 'Left for the finish pass', '0.4'),
];
const blank = (face, bore) => [field('blank', 'Face width', face), field('blank', 'Bore (0 for none)', bore)];
const spur = (teeth, face) => [
  field('gear', 'Pitch', '1.5'),
  field('gear', 'Teeth', teeth),
  depthRule,
  ...blank(face, '16'),
  press('cutter', `Use m 1.5 No. ${Number(teeth) > 54 ? 7 : 6}`, /m 1\.5 No\. [67]/),
  ...holding,
  ...passes,
];
const copy = (teeth, outside, span, of) => [
  field('gear', 'Teeth counted', teeth),
  field('gear', 'Outside diameter', outside),
  field('gear', 'Teeth between the jaws', of),
  field('gear', 'Span over them', span),
  field('gear', 'Span over one tooth more', String((Number(span) + 4.43).toFixed(2))),
  field('gear', 'Bore', '16'),
  press('gear', 'Take it', /m 1\.5/),
  depthRule,
  field('blank', 'Face width', '14'),
  press('cutter', 'Use m 1.5 No. 6', /m 1\.5 No\. 6/),
  ...holding,
  ...passes,
];
const piece = (across, teeth, face) => [
  field('gear', 'Diameter of the piece', across),
  field('gear', 'Pitch wanted', '1.5'),
  press('gear', `Take ${teeth} teeth`, /teeth, m 1\.5/),
  depthRule,
  ...blank(face, '16'),
  press('cutter', 'Use m 1.5 No. 6', /m 1\.5 No\. 6/),
  ...holding,
  ...passes,
];
const pair = (centre, ratio, take) => [
  field('gear', 'Centre distance', centre),
  field('gear', 'Ratio wanted', ratio),
  press('gear', `Take m 1.5 ${take}`, /m 1\.5/),
  depthRule,
  ...blank('14', '16'),
  press('cutter', 'Use m 1.5 No. ', /m 1\.5 No\. \d/),
  ...holding,
  ...passes,
];
const flats = (count, across) => [
  field('spacing', 'How many', count),
  field('spacing', 'Of what', 'flats'),
  field('spacing', 'On a diameter of', '30'),
  field('spacing', 'Across flats', across),
  ...holding.filter(({ name }) => name !== 'By'),
  field('setup', 'Cutter diameter', '60'),
  field('setup', 'Cutter width', '8'),
  field('setup', 'Teeth of the cutter', '12'),
  field('setup', 'Length that is cut', '20'),
  ...passes,
];
const helical = (teeth, face) => [
  field('gear', 'Pitch', '1.5'),
  field('gear', 'Teeth', teeth),
  depthRule,
  field('gear', 'Helix angle (empty for spur)', '20'),
  ...blank(face, '16'),
  press('cutter', 'Use m 1.5 No. ', /m 1\.5 No\. \d/),
  ...holding.filter(({ name }) => name !== 'By'),
  ...passes,
];

/** Name, door, first station; what the first and the second of its kind want. */
export const JOBS = [
  { name: 'drawing', door: 'drawing', wants: [spur('46', '14'), spur('44', '12')] },
  {
    name: 'copy',
    door: 'sample',
    wants: [copy('40', '63', '20.77', '5'), copy('42', '66', '20.81', '5')],
  },
  { name: 'bar end', door: 'blank', wants: [piece('72', 45, '14'), piece('66', 41, '12')] },
  { name: 'pair', door: 'shafts', wants: [pair('60', '1', '40/40'), pair('72', '1', '48/48')] },
  { name: 'flats', door: 'divide', wants: [flats('6', '24'), flats('8', '25')] },
  { name: 'helical', door: 'drawing', wants: [helical('30', '18'), helical('34', '16')] },
];
