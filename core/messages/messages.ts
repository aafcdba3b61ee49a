import type { Issue, IssueCode, IssueOf, ToldLength } from '../findings/index.ts';
import { angleText, bothUnitsText, decimalText, exact, lengthText } from '../units/index.ts';

type With<Name extends string, Figure> = { readonly detail: Readonly<Record<Name, Figure>> };

/** Words as they stand. */
const d = <Name extends string>({ detail }: With<Name, string>, name: Name): string => detail[name];
/** A number. */
const num = <Name extends string>({ detail }: With<Name, number>, name: Name, places = 6): string =>
  decimalText(detail[name], places);
/** An angle given in degrees. */
const deg = <Name extends string>({ detail }: With<Name, number>, name: Name): string =>
  `${decimalText(detail[name], 3)}°`;
/** An angle in degrees, minutes and seconds where they are whole. */
const dms = <Name extends string>({ detail }: With<Name, number>, name: Name): string =>
  angleText(exact(detail[name].toFixed(6)));
/** A length in the units of who reads it. */
function len<Name extends string>({ detail }: With<Name, ToldLength>, name: Name): string {
  const { mm, units, finish } = detail[name];
  return finish === 'both' ? bothUnitsText(mm, units) : lengthText(mm, units, finish);
}

/** What stands otherwise in the shop than in the job's own copy. */
const changedInShop = (what: string, differs: string): string =>
  `${what} has changed in the shop since this job was planned${differs === '' ? '' : `: ${differs}`}. The job still uses its own copy.`;

/**
 * Every sentence a person reads about something wrong, in one place: what is wrong, then what would be right.
 */
const sentences: { readonly [Code in IssueCode]: (issue: IssueOf<Code>) => string } = {
  missing: (i) => `Still needed: ${i.allowed}.`,
  'not-a-number': (i) => `“${i.given}” cannot be read. Write it like ${i.allowed}.`,
  'unit-unknown': (i) => `“${d(i, 'unit')}” is not a unit known here. Use ${i.allowed}.`,
  'unit-wrong-kind': (i) => `“${i.given}” is not ${d(i, 'wanted')}. Write it like ${i.allowed}.`,
  'units-mixed': (i) =>
    `In “${i.given}” some figures have a unit and some have none. Give each one its unit.`,
  'divided-by-zero': (i) => `“${i.given}” divides by zero. Check the figure under the stroke.`,
  'not-whole': (i) => `${d(i, 'what')} must be a whole number; ${i.given} is not. ${i.allowed}.`,
  'out-of-range': (i) => `${d(i, 'what')} of ${i.given} is out of range. ${i.allowed}.`,
  'not-positive': (i) => `${d(i, 'what')} must be more than zero; ${i.given} is not.`,
  negative: (i) => `${d(i, 'what')} cannot be less than zero; ${i.given} is.`,
  'pitches-impossible': (i) =>
    `A normal pitch of ${d(i, 'normal')} cannot go with a transverse one of ${d(i, 'transverse')}: along the normal the teeth stand closer, never wider apart. Were the two exchanged?`,
  'pitches-at-odds': (i) =>
    `The two pitches are at odds with a helix of ${deg(i, 'angle')}: the ${d(i, 'plane')} pitch would be ${d(i, 'expected')}, not ${i.given}. The two as given mean ${d(i, 'fits')}. Put one of the three right, or leave this one empty.`,
  'helix-needs-mate': () =>
    'Still needed: the teeth of the mate and the centre distance wanted, further down. The angle follows from them.',
  'helix-transverse-centre': () =>
    'A transverse pitch fixes the pitch diameters whatever the angle, so a centre distance cannot tell the angle. Give the normal pitch, the cutter’s own.',
  'helix-centre-short': (i) =>
    `${i.given} is closer than these counts stand as straight gears, ${len(i, 'straight')}; a helix only spreads them. Take fewer teeth or a finer pitch.`,
  'helix-centre-long': (i) =>
    `${i.given} is so far from the ${len(i, 'straight')} of straight gears that no cutter can be laid along the teeth. Take more teeth or a coarser pitch.`,
  'helix-crossed-none': (i) =>
    `No angle brings this pair to ${i.given}: on shafts crossed so it stands at least ${len(i, 'least')} apart.`,
  'helix-lead-short': (i) =>
    `A lead of ${i.given} is too short for these teeth: at any angle it is more than ${len(i, 'least')}. Was it measured over less than a whole turn?`,
  'helix-two-angles': (i) =>
    `Two angles give this centre distance. ${i.given} is taken, the one nearer to half the shaft angle; the other is ${deg(i, 'other')}. To use it, type it as the angle.`,
  'shafts-at-odds': (i) =>
    `These helices and hands cross their shafts at ${deg(i, 'found')}, not ${i.given}. Leave the mate’s angle empty and it follows from the shafts.`,
  'crossed-centre-off': (i) =>
    `The pitch cylinders of this pair touch at ${len(i, 'nominal')}, and the shafts stand ${i.given} apart. Let the angle come from the centre distance, or move a shaft.`,
  'pair-angles-differ': (i) =>
    `The two gears of this pair have helix angles of ${i.given}. On parallel shafts they mesh only with one and the same angle.`,
  'pair-hands-same': (i) =>
    `Both gears of this pair are ${i.given}-hand. On parallel shafts one must lean the other way; of one hand they only run on crossed shafts.`,
  'pair-pitches-differ': (i) =>
    `The two gears of this pair are ${i.given}: they do not run together. One cutter pitch for both.`,
  'pair-pressure-differs': (i) =>
    `The two gears of this pair have pressure angles of ${i.given}: their flanks do not roll on each other. Cut both with cutters of one angle.`,
  'pair-depths-differ': (i) =>
    `The two gears of this pair go by different depths, ${i.given}. They run while each clears the other’s tips: look at the clearance, or take one rule for both.`,
  'shafts-needed': () => 'Still needed: the angle of the shafts, or the mate’s own helix angle.',
  'thinning-too-much': (i) =>
    `Taking ${i.given} off a tooth of ${len(i, 'tooth')} leaves too little to carry anything.`,
  'mesh-too-close': (i) =>
    `At ${i.given} the two cannot roll at all: their base circles overlap. Shafts for this pair stand ${len(i, 'nominal')} apart.`,
  'mesh-binds': (i) =>
    `At ${i.given} the pair has ${len(i, 'backlash')} of backlash: it binds. Spread the shafts to ${len(i, 'spread')}, or sink the cutter ${len(i, 'deeper')} more into ${d(i, 'into')}.`,
  'mesh-bottoms': (i) =>
    `At ${i.given} the tips reach the roots: ${len(i, 'clearance')} of clearance. The pair cannot be put together so.`,
  'mesh-interferes': (i) =>
    `The tips of the ${d(i, 'which')} run ${len(i, 'by')} past the end of the other’s involute and dig in at its root. Relieve those tips a little, or take more teeth for the smaller gear.`,
  'mesh-barely': (i) =>
    `Only ${i.given} of contact: below 1.1 one pair of teeth lets go about when the next takes hold, and it knocks.`,
  'blank-off-nominal': (i) =>
    `The blank is ${len(i, 'off')} ${d(i, 'way')} size. Set from its outside, the dial goes to ${len(i, 'dial')} instead of ${len(i, 'nominal')}: root and tooth come out right, the tips are ${d(i, 'tips')}.`,
  'blank-far-off': (i) =>
    `A blank of ${i.given} is ${len(i, 'off')} off Ø ${len(i, 'wanted')}, more than a quarter of the addendum. Was it measured in other units, or turned for another gear?`,
  'pitch-slip': (i) =>
    `${i.given} with these figures is ${d(i, 'why')}. If the drawing says ${d(i, 'other')}, the blank is Ø ${len(i, 'otherBlank')}.`,
  'pitch-not-standard': (i) =>
    `${i.given} is not a standard pitch. Nearest: ${d(i, 'nearest')}. A stock cutter may not exist for it.`,
  'pitch-look-alike': (i) =>
    `${i.given} is close to ${d(i, 'other')}, and they do not run together: over ${num(i, 'teeth')} teeth the pitch line differs by ${len(i, 'drift')}.`,
  'bore-over-root': (i) =>
    `A bore of ${i.given} is larger than the root, Ø ${len(i, 'root')}: no metal would be left under the teeth. Give a smaller bore, or check the pitch.`,
  'bore-near-root': (i) =>
    `Only ${len(i, 'wall')} of metal is left between bore and root. Below the whole depth, ${len(i, 'wanted')}, a tooth can tear out or a key has no room.`,
  'depth-under-addendum': (i) =>
    `A whole depth of ${i.given} leaves no clearance: it must be more than twice the addendum, ${len(i, 'twice')}.`,
  'depth-over-root': (i) =>
    `A whole depth of ${i.given} would cut past the centre of this blank (Ø ${len(i, 'blank')}).`,
  'depth-unusual': (i) =>
    `${i.given} is ${num(i, 'factor', 2)} of the module; whole depths run from 1.8 to 2.4. Read the stamp again, or check its unit.`,
  undercut: (i) =>
    `Fewer than ${num(i, 'limit', 1)} teeth at ${deg(i, 'angle')}: a generated mate would undercut these. A form cutter copies its own shape, so the teeth come out, but the mate may dig in at the root: try the pair before relying on it.`,
  'addendum-missing': () => 'A depth typed from a book or print also needs its addendum.',
  'tip-under-bore': (i) =>
    `An outside of ${len(i, 'tip')} is not more than the bore, ${len(i, 'bore')}. One of the two is in other units, or it is a radius.`,
  'tips-at-odds': (i) =>
    `Over two tips it is ${len(i, 'over')}, and by the bore of ${len(i, 'bore')} with ${len(i, 'edge')} to a tip on either side ${len(i, 'reached')}. They cannot both be; measure both again before either is believed.`,
  'spans-contradict': (i) =>
    `${i.given} does not go with ${len(i, 'first')}: ${d(i, 'why')}. Count the teeth between the jaws again.`,
  'span-alone': (i) =>
    `A span of ${len(i, 'span')} says nothing without its teeth: how many stand between the jaws?`,
  'sample-unit': (i) =>
    `With this count that is module ${d(i, 'module')}, finer than any standard. If it was read in ${d(i, 'other')}, it is ${d(i, 'dp')} DP (module ${d(i, 'm')}).`,
  'stock-used-up': (i) => `Taking ${i.given} off to clean up leaves nothing of the stock.`,
  'stock-too-small': (i) =>
    `${i.given} is too small for any gear of this pitch: six teeth need ${len(i, 'least')} of stock.`,
  'room-clear': (i) => `It goes in, ${len(i, 'around')} clear all round.`,
  'room-short': (i) =>
    `The gear is ${len(i, 'tip')} over its tips, and there is room for ${i.given}: it would keep a cover from closing, or foul. Better known before metal is bought.`,
  'sample-says-other': (i) =>
    `The sample was taken for ${i.given}; with the readings as they are now it is ${d(i, 'now')}. Take that, or settle this station as it stands.`,
  'angle-assumed': (i) =>
    `The readings did not tell the pressure angle; ${i.given} was put in as the usual one of ${d(i, 'pitch')}. A cutter of the other angle would not run with its mate: two spans tell it, or the mate does.`,
  'ratio-not-one': (i) => `“${i.given}” is not a ratio. Write it like 3, 3:1 or 63/42.`,
  'survivors-over-turn': () =>
    'Survivors lie on part of the gear: an arc up to 360°, or a chord shorter than the outside.',
  'below-cutter-range': (i) =>
    `Standard sets start at 12 teeth; for ${i.given} a single-point tool has to be ground to the tooth space.`,
  'cutter-number-bad': (i) => `“${i.given}” is not a cutter number. ${i.allowed}.`,
  'tooth-range-bad': (i) => `“${i.given}” is not a range of teeth. ${i.allowed}.`,
  'cutter-pitch': (i) =>
    `It is a cutter of ${d(i, 'its')}, and the gear is ${d(i, 'wanted')}${d(i, 'apart') ? ` (${d(i, 'apart')} apart: they look alike and do not run together)` : ''}.`,
  'cutter-angle': (i) =>
    `Its pressure angle is ${d(i, 'its')}, the gear’s ${d(i, 'wanted')}: it would not run with a mate of ${d(i, 'wanted')}.`,
  'cutter-range': (i) => `It covers ${d(i, 'range')}, and this gear is cut as ${d(i, 'count')}.`,
  'cutter-school': (i) =>
    `No. ${d(i, 'number')} is ${d(i, 'inch')} by the inch school and ${d(i, 'metric')} by the metric one. Read the range engraved on it, or ask its maker’s school, before it scraps the gear.`,
  'cutter-unnumbered': () => 'Neither number nor range of it is listed: read them off the cutter.',
  'cutter-diameter-unknown': (i) =>
    `The diameter of the cutter is not known, so the count is the book’s, ${i.given}. A round cutter wants a higher one: pick a cutter, or type its diameter at Set-up.`,
  'gash-cutter-unknown': () =>
    'The diameter of the cutter is not known: whether it meets the corners of the rim before the throat cannot be told, and the depth is from the throat. Pick a cutter, or type its diameter at Set-up.',
  'hand-unasked': (i) =>
    `Which way do the teeth of the sample lean? Nobody has said, and ${i.given}-hand was put in. Stand it on its face and look: cut to the other hand it runs with nothing.`,
  'cutter-left-shop': (i) =>
    `${d(i, 'what')} is no longer in the shop. This job keeps its own copy and goes on with it.`,
  'cutter-changed': (i) => changedInShop(d(i, 'what'), d(i, 'differs')),
  'cutter-axial-pitch': (i) =>
    `It is named by the pitch along the worm, and cuts across the thread, where that is ${d(i, 'normal')}: the tooth spaces come ${d(i, 'by')}.`,
  'cutter-shrinks': (i) => `With No. ${d(i, 'half')} at hand it serves ${d(i, 'range')} only.`,
  'no-head': () => 'No dividing head is chosen. Pick one from the shop.',
  'no-plates': (i) =>
    `${d(i, 'head')} has no index plates listed. Add its plates, with the holes of each circle.`,
  'lead-head-not-geared': (i) =>
    `${i.given} has no change gears between table and worm, so it cannot turn the work as it travels. Choose a head that can be geared, or say in the shop which gears go with this one.`,
  'lead-no-gears': (i) =>
    `No gears are listed in ${i.given}. List those on the wall, with how many there are of each.`,
  'lead-gears-one': (i) => `${i.given} holds a single gear; a train needs two at least.`,
  'lead-no-mill': () =>
    'No mill is chosen whose table screw drives the head. List it in the shop, with the lead of its screw.',
  'lead-screw-unknown': (i) =>
    `The table screw of ${i.given} has no lead that can be used: a turn of the screw must move the table by more than nothing. Measure it over ten turns.`,
  'lead-out-of-reach': (i) =>
    `No train of these gears comes near a lead of ${i.given}: they cut from ${len(i, 'shortest')} to ${len(i, 'longest')}. ${d(i, 'try')}`,
  'lead-off': (i) =>
    `The tooth ends up ${num(i, 'off', 0)} µm beside its place over this face, more than the ${len(i, 'most')} allowed. Bend the angle a little, or let six gears or another set come nearer.`,
  'lead-train-lacks': (i) =>
    `${i.given} was chosen, and these gears do not hold it any more. Choose a train again.`,
  'lead-bracket': (i) => `${i.given} does not go on ${d(i, 'head')}: ${d(i, 'why')}.`,
  'table-swing-short': (i) =>
    `The table has to swing ${i.given} and goes to ${i.allowed}. Tilt the head, or use an attachment that carries the arbor.`,
  'table-no-swing': (i) =>
    `The table of ${i.given} does not swing. Tilt the head with a stub arbor, or use an attachment that turns the cutter.`,
  'head-no-tilt': (i) =>
    `The head of ${i.given} is not listed as one that tilts sideways. If it does, say so in the shop; if not, swing the table.`,
  'upright-no-tilt': (i) =>
    `The head of ${i.given} is not listed as one that tilts sideways, and on an upright spindle nothing else lays the cutter along the teeth: swinging the table does not. If it tilts, say so in the shop; if not, take a lying mill.`,
  'table-column': (i) =>
    `Swung, the table’s corner reaches ${i.given} towards the column and has ${i.allowed}. Bring the saddle forward by the difference first, or the table strikes the column.`,
  'lead-no-indexing': (i) =>
    `With the lead geared only the crank’s own plate divides, and ${i.given} will not come out on it: ${d(i, 'need')}. ${i.allowed} Or drill a plate with such a circle, or a ring of ${d(i, 'holes')} that goes between spindle and work.`,
  'choice-not-with-lead': (i) => `${d(i, 'way')} was chosen. ${d(i, 'why')} Choose a way again.`,
  'no-simple-indexing': (i) =>
    `${i.given} cannot be had by simple indexing with these plates: ${d(i, 'need')}. ${i.allowed}`,
  'choice-no-longer-divides': (i) =>
    `${d(i, 'way')} was chosen for ${d(i, 'was')} and does not give ${i.given}. Pick a way again.`,
  'choice-not-on-head': (i) =>
    `${d(i, 'way')} was chosen, and ${d(i, 'head')} has no such circle. Pick a way again.`,
  'choice-not-geared': (i) =>
    `${d(i, 'way')} was chosen, and ${d(i, 'head')} cannot be geared so: a gear is missing, or its plate cannot be set free. Pick a way again.`,
  'head-left-shop': (i) =>
    `${d(i, 'head')} is no longer in the shop. This job keeps its own copy and goes on with it.`,
  'head-changed': (i) => changedInShop(d(i, 'head'), d(i, 'differs')),
  'circle-bad': (i) => `A circle of ${i.given} holes cannot be. ${i.allowed}.`,
  'no-mill': () =>
    'No mill is listed whose table could be moved. Add one in the shop, with the lead of its table screw.',
  'angle-not-simple': (i) =>
    `${i.given} cannot be had exactly by simple indexing with these plates: ${d(i, 'need')}. Pick the nearest below, with its error.`,
  'choice-lacks': (i) =>
    `${d(i, 'way')} was chosen, and ${d(i, 'head')} no longer has what it needs. Pick a way again.`,
  'stride-shares': (i) =>
    `Every ${i.given}th place meets only ${num(i, 'cut')} of the ${num(i, 'spaces')}, since the two share a factor.${i.allowed ? ` Take ${i.allowed}.` : ''}`,
  'stride-part-turn': () =>
    'Block order goes round and round, so it needs a whole turn. Here cut in order: 1.',
  'holes-touch': (i) =>
    `${num(i, 'holes')} holes run into one another on a circle of ${i.given}. It must be more than ${num(i, 'least', 1)} mm across, or the holes smaller.`,
  'ring-fouls': (i) =>
    `Such a ring reaches ${len(i, 'reaches')} from the middle, and the spindle stands ${len(i, 'height')} above the table: it would not turn. A smaller circle, or a head on risers.`,
  'chart-letter-twice': (i) => `${i.given} stands for two positions. A chart’s letter stands for one.`,
  'travel-short': (i) =>
    `From first to last is ${i.given} mm, and the table of ${d(i, 'mill')} travels ${i.allowed} mm. Cut it in two settings, or turn it end for end.`,
  'stepper-changed': (i) => changedInShop(d(i, 'what'), d(i, 'differs')),
  'gears-changed': (i) => changedInShop(d(i, 'what'), d(i, 'differs')),
  'mill-changed': (i) => changedInShop(d(i, 'what'), d(i, 'differs')),
  'mill-left-shop': (i) =>
    `${d(i, 'what')} is no longer in the shop. This job keeps its own copy and goes on with it.`,
  'angle-over-turn': (i) =>
    `An angle from one to the next is more than 0 and at most a whole turn, 360°; ${i.given} is not.`,
  'angles-overlap': (i) =>
    d(i, 'on') === 'first'
      ? `From the first to the last of them is ${dms(i, 'total')}, a whole turn: the last falls on the first. Is one fewer meant?`
      : `${i.given} come to ${dms(i, 'total')}, more than a whole turn: the last ones fall among the first. Is that meant?`,
  'marks-too-coarse': (i) =>
    `A move is ${i.given}, and a mark of the dial ${len(i, 'mark')}: some places would be read on the same mark. It takes a finer dial, or a readout.`,
  'flats-over-stock': (i) =>
    `${i.given} does not go on stock of ${len(i, 'stock')}: a flat lies inside the round, and not past its centre.`,
  'flats-odd': (i) =>
    `${num(i, 'flats')} is odd: no flat lies opposite another. Across flats is twice the way from flat to centre; gauge it from a flat to the corner opposite, ${len(i, 'gauge')}.`,
  'flats-corners-lost': (i) =>
    `Below ${len(i, 'full')} the flats meet inside the round: the corners come out at Ø ${len(i, 'over')}, under the stock.`,
  'flats-depth-other': (i) =>
    `A depth of ${i.given} is not what across flats asks for, ${len(i, 'depth')}. Across flats counts; clear one of the two.`,
  'ratio-bad': (i) =>
    `“${i.given}” is not a worm ratio. Write the turns of the crank for one turn of the spindle, like 40, 40:1 or 81/2.`,
  'name-twice': (i) => `Two ${d(i, 'what')} are called ${i.given}. Give each its own name.`,
  'no-such-head': (i) =>
    `There is no head called “${i.given}” in the shop. Add it first, or write its name as it stands there.`,
  'no-such-gears': (i) => `There is no set of change gears called “${i.given}” in the shop.`,
  'gear-owned-none': (i) =>
    `A wheel of ${i.given} teeth is owned 0 times. Leave the row out, or say how many there are.`,
  'steps-bad': (i) => `“${i.given}” is not ${d(i, 'what')}. Write them one after another: 45 63 90 125.`,
  'speed-bad': (i) => `“${i.given}” is not a cutting speed. Write it like 24 m/min or 80 ft/min.`,
  'table-other': (i) => `This is the table of ${d(i, 'other')}, not of ${d(i, 'wanted')}. Bring it in there.`,
  'table-columns': (i) =>
    `No column is called ${d(i, 'missing')}. The first row must name the columns: ${i.allowed}.`,
  'table-empty': (i) => `This table has no rows under its heading. The columns are ${i.allowed}.`,
  'word-unknown': (i) => `“${i.given}” is not known for ${d(i, 'what')}. Write ${i.allowed}.`,
  'plate-twice': (i) => `Two plates are called ${i.given}. Give each its own letter.`,
  'worm-threads-across': (i) =>
    `On a worm of Ø ${i.given} threads of this normal pitch would lie straight across. It must be thicker than ${len(i, 'least')}.`,
  'worm-centre-none': (i) =>
    `No worm of this normal pitch fits a centre distance of ${i.given} with that many starts. Take fewer starts, a finer pitch, or spread the shafts.`,
  'worm-centre-short': (i) =>
    `At ${i.given} there is no room for a worm: the wheel alone reaches ${len(i, 'wheel')} from its shaft. Take fewer teeth, a finer pitch, or spread the shafts.`,
  'worm-thin': (i) =>
    `A thread ${len(i, 'depth')} deep leaves no core in a worm of Ø ${len(i, 'worm')}. Its pitch diameter must be more than ${len(i, 'least')}.`,
  'worm-thread-pointed': (i) =>
    `At ${i.given} and this depth the ${d(i, 'which') === 'crest' ? 'thread comes to a point before its outside' : 'tool comes to a point before the root'}. Take a smaller angle or less depth.`,
  'worm-depth-odd': () =>
    'The depth of a thread must be more than its addendum: the rest is below the pitch line.',
  'worm-steep': (i) =>
    `A lead angle of ${i.given} is more than the ${deg(i, 'fair')} or so that a form cutter gashes fairly. A thicker worm or fewer starts bring it down; or hob the wheel.`,
  'worm-slender': (i) =>
    `The core of this worm is only ${i.given} of its pitch diameter, thinner than its thread is deep: it bends under the cut. A thicker worm is stiffer.`,
  'wheel-undercut': (i) =>
    `${i.given} teeth are fewer than the ${num(i, 'least', 1)} that a ${deg(i, 'angle')} worm clears: hobbed, the roots are undercut; gashed, the thread may rub there. More teeth, or a tool of a larger angle.`,
  'starts-over-wheel': (i) =>
    `${i.given} starts are too many for a wheel of ${num(i, 'teeth')} teeth: it would turn as fast as its worm, or faster. Take fewer starts.`,
  'worm-short': (i) =>
    `The wheel reaches over ${len(i, 'engaged')} of the worm; a thread of ${i.given} leaves teeth hanging in the air.`,
  'drive-differs': (i) =>
    `Worm and wheel of this drive were planned with other figures: ${i.given}. So they do not run together. Open the Drive of the right one and put its figures on both.`,
  'no-lathe': () => 'No lathe is chosen. List one in the shop, with its leadscrew, box and change gears.',
  'lathe-screw-unknown': (i) => `The leadscrew of ${i.given} is not known. Enter its lead in the shop.`,
  'lathe-box-bad': (i) =>
    `A setting of the box of ${i.given} cannot be read: “${d(i, 'word')}”. Put it right in the shop.`,
  'lathe-no-gears': (i) =>
    `${i.given} has no change gears listed, and no box: nothing can be geared to this pitch. List its gears in the shop.`,
  'lathe-gears-lack': (i) =>
    `${i.given}: these gears or this setting are not on this lathe any more. Choose again.`,
  'lathe-out-of-reach': (i) =>
    `No gears and setting of this lathe come near a lead of ${i.given}: the nearest is ${num(i, 'off', 1)} % off. It wants gears that differ more, or another box.`,
  'lathe-off': (i) =>
    `With ${i.given} the thread goes ${num(i, 'off', 0)} µm astray over what the wheel reaches; ${num(i, 'most', 0)} µm is allowed. More change gears, or allow more.`,
  'lathe-stud': (i) =>
    `With ${i.given} neighbouring gears may touch the stud’s shafts, by the rule of thumb. Lay them on the bracket before the work is chucked.`,
  'lathe-changed': (i) => changedInShop(d(i, 'what'), d(i, 'differs')),
  'lathe-left-shop': (i) => `${d(i, 'what')} is no longer in the shop. The job goes on with its own copy.`,
  'starts-way': (i) => `${i.given} the next start cannot be reached here. ${d(i, 'why')}`,
  'box-bad': (i) => `“${i.given}” is no setting of a box. Write them like 8 9 10 11½ 12, or with commas.`,
  'rim-chamfer-root': (i) =>
    `A face of ${i.given} is chamfered down to below the roots. With this face angle a face of up to ${len(i, 'most')} keeps its teeth whole.`,
  'gash-no-mill': (i) => `Still needed: ${i.allowed}. Its scale says how near the lead angle can be set.`,
  'gash-too-steep': (i) =>
    `A lead angle of ${i.given} is beyond what a form cutter can gash: neither table nor head lays it over ${deg(i, 'most')}. Take a thicker worm or fewer starts.`,
  'gash-steep': (i) =>
    `At ${i.given} a form cutter leaves flanks that bear poorly; up to ${deg(i, 'fair')} or so it is fair. Gash short of depth and hob it, or take a thicker worm.`,
  'gash-corners': (i) =>
    `Cut so, the corners of the teeth touch ${i.given} before the middle, more than the usual backlash: the worm does not go in. Keep the hollow to ${len(i, 'clear')}, take a larger cutter, or gash short and hob.`,
  'gash-hollow-straight': () =>
    'Drawn straight across a hollow rim the gash is as deep at the corners as in the middle, and the teeth are thin there. For a traverse leave the rim plain.',
  'hob-stock-deep': (i) =>
    `Leaving ${i.given} for the hob is not possible: it must be less than the depth, ${len(i, 'depth')}.`,
  'hob-flutes-share': (i) =>
    `${i.given} flutes share a factor with the starts, so the same teeth of the hob meet the same tooth spaces and their errors stay. Take a count that does not.`,
  'cutter-under-worm': (i) =>
    `A cutter of Ø ${i.given} mm is smaller than the worm, Ø ${num(i, 'worm', 2)} mm: it leaves metal at the corners where the worm has to pass. Take a larger one.`,
  'setup-size-far': (i) =>
    `${i.given} is more than ${len(i, 'most')}, the largest that stands on such a mill. Check its unit.`,
  'setup-no-room': (i) =>
    `${d(i, 'what')}: ${i.given} is needed, and there is ${d(i, 'has')}. ${d(i, 'remedy')}`,
  'setup-cutter-small': (i) =>
    `A cutter of ${i.given} cannot sink ${len(i, 'depth')}: its arbor would reach the work first. Take a larger cutter, or check its diameter.`,
  'setup-left-shop': (i) => `${i.given} chosen here is no longer in the shop. Choose another.`,
  'mandrel-fit': (i) => `${i.given} does not hold this blank: ${d(i, 'why')}.`,
  'speed-none': (i) =>
    `The slowest speed of this mill, ${i.given} rpm, is faster than the ${num(i, 'wanted', 0)} rpm wanted. Use it with a light feed and plenty of oil, or a smaller cutter.`,
  'readings-few': (i) =>
    `${i.given} readings cannot tell which way it is off. Give 3 to 72, at equal steps once round: 0 .02 .05 .02.`,
  'runout-far': (i) =>
    `A runout of ${i.given} is more than indicating leaves. Were these thous, or hundredths of a millimetre? Write the unit behind a reading: .02mm.`,
  'along-far': (i) =>
    `${i.given} over ${len(i, 'length')} is more than a vice or table is out. Check its unit.`,
  'along-alone': (i) => `Over what length did it move by ${i.given}?`,
  'keyway-cutter': (i) =>
    `A keyway of ${len(i, 'width')} wants a cutter from ${len(i, 'least')} to ${len(i, 'width')}; ${i.given} is not.`,
  'inspect-far': (i) =>
    `${i.given} is far from the ${len(i, 'should')} it should be. Was it read in the other unit, over other teeth, or with another pin?`,
  'inspect-disagree': (i) =>
    `This reading says the teeth are ${i.given} too ${d(i, 'way')}; ${d(i, 'by')} says ${len(i, 'best')} too ${d(i, 'bestWay')}. Measure both again before anything is sunk.`,
  'inspect-thick': (i) =>
    `The teeth are ${i.given} too thick. While the gear is still on the head, sink the cutter ${len(i, 'sink')} more and go round again.`,
  'inspect-thin': (i) =>
    `The teeth are ${i.given} too thin. Nothing puts metal back: in mesh the backlash is that much more than planned.`,
  'finish-stock-too-deep': (i) =>
    `Leaving ${i.given} for the finish pass is not possible: it must be more than zero and less than the whole depth, ${len(i, 'depth')}.`,
  'start-space-out-of-range': (i) => `The run cannot start at ${i.given}. ${i.allowed}.`,
  'continue-other': (i) =>
    `The run at the mill divides ${num(i, 'was')} in ${num(i, 'rounds')} rounds, and this plan ${i.given}: it cannot go on with it. Give the card the same count and rounds, or start a run of its own.`,
  'continue-none': () =>
    'Nothing of that run is cut yet, or all of it is: there is nothing to go on with. Start a run of its own.',
  'continue-order': () =>
    'The run at the mill takes its cuts in another order than this plan: going on would cut some twice and leave others out. Give the card the same order.',
  'deepen-other': (i) =>
    `The gear that measured thick was cut in ${num(i, 'was')} places, and the card now says ${i.given}: sinking it so would cut between its teeth. Give the card the count it was cut with.`,
  'not-ready-to-cut': (i) => `Not ready to cut: ${i.allowed}.`,
  'not-json': (i) => `This is not a job file: it cannot be read as JSON (${d(i, 'where')}). ${i.allowed}`,
  'cut-short': () =>
    'This job file is cut short: it ends in the middle. Copy or download it again; nothing was changed.',
  'practice-waits': (i) => `The practice bench waits for ${i.given}.`,
  'practice-other': (i) =>
    `The practice bench has no place for ${i.given} yet: gears can be rehearsed, leaning ones with the table geared to the worm, worm wheels, racks and slots along the table, and flats or slots round a bar.`,
  'restore-under-way': () =>
    'Another backup is being put back at this moment. Wait until it is done, or stop it.',
  'not-a-backup': (i) => `This cannot be put back: ${d(i, 'why')}. Nothing was changed.`,
  'strange-host': (i) =>
    `“${i.given}” is no name of this workshop’s machine. Ask for it by its own address, or start it with HOST set to this name.`,
  'strange-origin': (i) =>
    `This came from a page of another site (${i.given}), and only Vuelta’s own pages may change the workshop. Nothing was changed.`,
  'not-sent-as-json': (i) =>
    `What changes something is sent as application/json; this was ${i.given ? `“${i.given}”` : 'sent without a type'}. Nothing was changed.`,
  'body-unreadable': (i) => `What was sent cannot be read as JSON (${i.given}). Nothing was changed.`,
  'address-bad': (i) => `This address cannot be read: ${i.given}.`,
  'quote-open': () =>
    'In this job file a quotation mark is opened and never closed, so all that follows it is one long text. Put the mark back where a text ends; nothing was changed.',
  'stored-unreadable': (i) =>
    `${d(i, 'what')} is stored and cannot be read here (${d(i, 'why')}). It is kept as it is, and a backup takes it along.`,
  'size-unlikely': (i) =>
    `${d(i, 'what')} of ${d(i, 'read')}? It runs from ${len(i, 'least')} to ${len(i, 'most')}.${d(i, 'other') ? ` If ${d(i, 'other')} is meant, write it so;` : ''} with its unit behind it any figure is taken.`,
  'list-dash': (i) =>
    `“${i.given}” can be read as two circles or as all from one to the other. Write each by itself: ${i.allowed}.`,
  'figure-beyond': (i) =>
    `${i.given} is beyond anything that is cut. Was a key held down, or a point left out? ${i.allowed}.`,
  'not-paired': () => 'This device is not let in yet. Type the code shown on the shop’s own machine.',
  'pairing-wrong': () =>
    'That is not the code, or not any more. It stands on the bench of the shop’s own machine, and changes at each start.',
  'pairing-wait': () => 'Too many wrong codes. Wait a minute, then read it off again.',
  'only-here': () => 'Who is let in is settled on the machine that Vuelta runs on, and nowhere else.',
  'class-unknown': (i) => `No class has the code ${i.given}. It stands on the teacher’s page: five letters.`,
  'class-full': (i) => `There are ${i.given} learners in this class already: no more are taken.`,
  'classes-many': (i) => `There are ${i.given} classes here already. Delete one that has ended first.`,
  'class-here': () =>
    'All classes are listed on the machine that Vuelta runs on, and nowhere else. Elsewhere a class is opened by its teacher’s own link.',
  'learner-name-taken': (i) =>
    `Somebody in this class is called ${i.given} already. If it is you, type the four figures you were given; else take another name.`,
  'learner-number-wrong': (i) =>
    `Those are not the four figures of ${i.given}. They stand on the page of whoever joined first.`,
  'learner-locked': (i) =>
    `Too many wrong figures for ${i.given}. Ask the teacher to take that name away, or take another.`,
  'tries-many': (i) => `${i.given} exercises are kept for one learner, and no more.`,
  'device-away': (i) =>
    `${i.given} is not on its line: see that it is switched on and its cable is in. Counting by hand goes on as ever.`,
  'device-doubt': (i) =>
    `Nobody knows where the work stands on ${i.given}: look at it, and say at which place it is, before it is turned again.`,
  'device-busy': (i) => `${i.given} is turning. Wait until it stands.`,
  'device-held': (i) =>
    `Another screen turned ${i.given} last. Take it here first, when nobody stands at it.`,
  'device-not': (i) => `${i.given} is no ${d(i, 'what')}.`,
  'device-coarse': (i) =>
    `${i.given} counts too little for one turn: its line could not tell one step from the next. Set it up in degrees, 360 for a turn, or in steps.`,
  'device-silent': (i) => `${i.given} has not said yet where it stands.`,
  'devices-many': (i) => `There are ${i.given} devices here already. Take one off first.`,
  'motor-not-now': (i) => `${i.given} is not turned now: ${d(i, 'what')}.`,
  'run-not-by-motor': (i) => `${i.given} does not divide by a motor.`,
  'not-a-job': () =>
    'This file is JSON, and it is not a Vuelta job: it lacks the mark "format": "vuelta-job".',
  'later-version': (i) =>
    `This job file is of version ${i.given}; this Vuelta reads up to ${i.allowed}. Update Vuelta, then import it again.`,
  shape: (i) => `${d(i, 'what')}`,
  'picture-bad': () => 'That is no picture of a kind that is kept here: JPEG or PNG.',
  'picture-other': (i) => `Another picture has the id ${i.given}.`,
  'pictures-many': (i) => `There are ${i.given} pictures here already. Take one away first.`,
  'file-waits': (i) => `${i.given} cannot be made of this yet: ${d(i, 'what')}.`,
  'took-too-long': (i) =>
    `It was stopped after ${num(i, 'seconds')} s with nothing found: ${i.given}. Questions with ${i.allowed} are always answered: leave out what this job does not need.`,
  'too-many-wait': () =>
    'So many longer questions wait here already that this one would not be answered in time. Ask again in a minute.',
  'disk-full': () =>
    'The disk of the server is full: nothing more can be stored. What was stored before is untouched. Make room on it and try again.',
  'store-not-written': (i) =>
    `The server cannot write its store (${i.given}). Nothing was changed: see that its folder can be written.`,
  'too-large': (i) => `${d(i, 'what')} is larger than ${i.allowed}.`,
  'stale-revision': (i) =>
    `This job was changed somewhere else in the meantime (yours is ${i.given}, the stored one is ${i.allowed}). Both are kept.`,
  'not-found': (i) => `There is no ${d(i, 'what')} with the id ${i.given}.`,
  'event-from-other-run': (i) => `Event ${i.given} belongs to another run.`,
  'event-id-reused': (i) => `Event ${i.given} was stored before with other contents.`,
  'event-names-no-cut': (i) => `Event ${i.given} names a cut that this run does not have. ${i.allowed}.`,
};

/** Everything that can be told. */
export const ISSUE_CODES = Object.keys(sentences) as IssueCode[];

/** The sentence for an issue: what is wrong and what would be right. */
export function sayIssue(issue: Issue): string {
  return (sentences[issue.code] as (given: Issue) => string)(issue);
}
