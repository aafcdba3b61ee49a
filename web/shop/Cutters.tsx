import { Button, Segmented } from 'antd';
import { useState } from 'react';
import { cutterSet, rangeByNumber, rangeText, type CutterSchool } from '../../core/cutter/index.ts';
import { ok, type Result } from '../../core/findings/index.ts';
import { sayIssue } from '../../core/messages/index.ts';
import {
  idFrom,
  lengthCellText,
  pitchCell,
  pitchCellText,
  plainCutter,
  readCutterNumber,
  readToothRange,
  toothRangeText,
  unitsOfCutter,
  type FormCutter,
} from '../../core/shop/index.ts';
import { measure, parseAngleDeg, type Measure } from '../../core/units/index.ts';
import { CsvTools } from './CsvTools.tsx';
import { KeptField } from './KeptField.tsx';
import { ListOf } from './ListOf.tsx';
import { readName, readSizeOf, readWhole } from './readings.ts';
import { changed, freshName, without, type Keep, type ShopProps } from './shopProps.ts';
import { ToBuy } from './ToBuy.tsx';

const lineOf = ({ number, school, range, angle }: FormCutter): string => {
  const covers = range
    ? rangeText(range)
    : number === null
      ? 'range not known'
      : school === 'unknown'
        ? `No. ${number}, school not known`
        : `No. ${number} ${school}, ${rangeText(rangeByNumber(number, school))}`;
  return `${covers}, ${angle.typed}°`;
};

/** The cutters that go with one as a set: of its pitch, angle and school. */
const setOf = ({ pitch, angle, school }: FormCutter, cutters: readonly FormCutter[]): readonly FormCutter[] =>
  cutters.filter(
    (other) =>
      other.pitch.typed === pitch.typed &&
      other.pitch.unit === pitch.unit &&
      other.angle.typed === angle.typed &&
      other.school === school,
  );

const setName = ({ pitch, angle, school }: FormCutter): string =>
  `the ${pitch.unit === 'dp' ? `${pitch.typed} P` : `m ${pitch.typed}`} set, ${angle.typed}°${school === 'unknown' ? '' : `, ${school}`}`;

/** The form cutters on the shelf, and which are still to buy for the jobs on the bench. */
export function Cutters({ equipment, edit, remove }: ShopProps) {
  const { cutters } = equipment;
  const [chosen, setChosen] = useState<string | null>(null);
  const [adding, setAdding] = useState(false);
  const cutter = cutters.find(({ id }) => id === chosen) ?? cutters[0] ?? null;
  const add = () => {
    const name = freshName(cutters, 'Cutter');
    const id = idFrom(
      name,
      cutters.map((other) => other.id),
    );
    edit((now) => ({
      ...now,
      cutters: [...now.cutters, plainCutter(id, name, measure('1', 'module'))],
    }));
    setChosen(id);
    setAdding(false);
  };
  return (
    <div className="shop-table">
      <ListOf
        label="Form cutters"
        things={cutters.map((each) => ({ id: each.id, name: each.name, line: lineOf(each) }))}
        chosen={adding ? null : (cutter?.id ?? null)}
        onChoose={(id) => {
          setChosen(id);
          setAdding(false);
        }}
        adding={[
          { words: 'Add one cutter', add },
          { words: 'Add a set of eight or fifteen', add: () => setAdding(true) },
        ]}
        foot={<CsvTools tables={['cutters']} equipment={equipment} edit={edit} />}
      />
      {adding || !cutter ? (
        <AddSet
          onAdd={(set) => {
            const known = new Set(cutters.flatMap(({ id, name }) => [id, name]));
            const fresh = set.filter(({ id, name }) => !known.has(id) && !known.has(name));
            const why = edit((now) => ({ ...now, cutters: [...now.cutters, ...fresh] }));
            if (why === null) {
              setAdding(false);
              setChosen(fresh[0]?.id ?? null);
            }
            return why;
          }}
        />
      ) : (
        <CutterEditor
          key={cutter.id}
          cutter={cutter}
          keep={(change) => edit((now) => ({ ...now, cutters: changed(now.cutters, cutter.id, change) }))}
          set={setOf(cutter, cutters)}
          onRemove={() =>
            remove(cutter.name, (now) => ({ ...now, cutters: without(now.cutters, cutter.id) }))
          }
          onRemoveSet={(set) =>
            remove(setName(cutter).replace('the', 'The'), (now) => ({
              ...now,
              cutters: now.cutters.filter(({ id }) => !set.some((one) => one.id === id)),
            }))
          }
        />
      )}
      <aside className="shop-drawing is-kept on-dye">
        <ToBuy />
      </aside>
    </div>
  );
}

/** A whole set at once, in the school its numbers follow. */
function AddSet({ onAdd }: { readonly onAdd: (set: readonly FormCutter[]) => string | null }) {
  const [pitch, setPitch] = useState('M1');
  const [school, setSchool] = useState<CutterSchool>('metric');
  const [size, setSize] = useState<8 | 15>(8);
  const [angle, setAngle] = useState('20');
  const [why, setWhy] = useState<string | null>(null);
  /** Of what stands in the fields, never of what stood there before it could not be read. */
  const add = () => {
    const [read, slope] = [pitchCell(pitch), readAngle(angle)];
    if (read.ok && slope.ok)
      return setWhy(onAdd(cutterSet({ pitch: read.value, school, size, angleDeg: slope.value.typed })));
    setWhy([read, slope].flatMap((one) => (one.ok ? [] : one.issues.map(sayIssue))).join(' '));
  };
  return (
    <section className="shop-editor" aria-label="Add a set">
      <p>A set of one pitch, numbered as its maker numbers them. Take out later what is not there.</p>
      <div className="fields">
        <KeptField
          label="Pitch of the set"
          kept={pitch}
          read={pitchCell}
          onTyped={setPitch}
          onKeep={() => null}
          echo="M1.5 or 14 DP"
        />
        <KeptField
          label="Pressure angle of the set"
          kept={angle}
          read={readAngle}
          onTyped={setAngle}
          onKeep={() => null}
          suffix={<span className="unit">°</span>}
        />
      </div>
      <Segmented
        aria-label="School of the numbers"
        value={school}
        onChange={setSchool}
        options={[
          { value: 'metric', label: 'metric school: No. 1 cuts 12 to 13' },
          { value: 'inch', label: 'inch school: No. 8 cuts 12 to 13' },
        ]}
        vertical
      />
      <Segmented
        aria-label="How many cutters"
        value={size}
        onChange={setSize}
        options={[
          { value: 8, label: 'eight' },
          { value: 15, label: 'fifteen, with half numbers' },
        ]}
      />
      {why && <p className="field-issue is-wrong">✕ {why}</p>}
      <p>
        <Button type="primary" size="large" onClick={add}>
          Add the {size === 8 ? 'eight' : 'fifteen'}
        </Button>
      </p>
    </section>
  );
}

/** An angle, kept as it is typed. */
function readAngle(typed: string): Result<Measure> {
  const given = measure(typed.trim().replace(/°$/, ''), 'deg');
  const read = parseAngleDeg(given);
  return read.ok ? ok(given) : read;
}

interface EditorProps {
  readonly cutter: FormCutter;
  readonly keep: Keep<FormCutter>;
  /** Those that go with it as a set, itself among them. */
  readonly set: readonly FormCutter[];
  readonly onRemove: () => void;
  readonly onRemoveSet: (set: readonly FormCutter[]) => void;
}

const LENGTHS = [
  ['diameter', 'Diameter'],
  ['bore', 'Bore'],
  ['width', 'Width'],
  ['stamped', 'Whole depth stamped on it'],
] as const;

function CutterEditor({ cutter, keep, set, onRemove, onRemoveSet }: EditorProps) {
  return (
    <section className="shop-editor" aria-label={cutter.name}>
      <div className="fields">
        <KeptField
          label="Name"
          kept={cutter.name}
          read={readName}
          onKeep={(name) => keep((now) => ({ ...now, name }))}
        />
        <KeptField
          label="Pitch"
          kept={pitchCellText(cutter.pitch)}
          read={pitchCell}
          onKeep={(pitch) => keep((now) => ({ ...now, pitch }))}
          echo="M1.5 or 14 DP"
        />
        <KeptField
          label="Number"
          kept={cutter.number ?? ''}
          read={readCutterNumber}
          onKeep={(number) => keep((now) => ({ ...now, number }))}
          echo="1 to 8, halves like 3½; may be left empty"
        />
        <KeptField
          label="Range engraved on it"
          kept={toothRangeText(cutter.range)}
          read={readToothRange}
          onKeep={(range) => keep((now) => ({ ...now, range }))}
          echo="26-34 or 135-rack: it beats the number"
        />
        <KeptField
          label="Pressure angle"
          kept={cutter.angle.typed}
          read={readAngle}
          onKeep={(angle) => keep((now) => ({ ...now, angle }))}
          suffix={<span className="unit">°</span>}
        />
        {LENGTHS.map(([field, label]) => (
          <KeptField
            key={field}
            label={label}
            kept={lengthCellText(cutter[field])}
            read={readSizeOf(field, label, unitsOfCutter(cutter))}
            suffix={<span className="unit">{unitsOfCutter(cutter)}</span>}
            onKeep={(length) => keep((now) => ({ ...now, [field]: length }))}
            echo={field === 'stamped' ? 'wins over every depth rule where it is used' : ''}
          />
        ))}
        <KeptField
          label="Teeth of the cutter"
          kept={cutter.teeth === null ? '' : String(cutter.teeth)}
          read={(typed) => (typed.trim() === '' ? ok(null) : readWhole('The cutter’s teeth', 1, 200)(typed))}
          onKeep={(teeth) => keep((now) => ({ ...now, teeth }))}
        />
        <KeptField
          label="Material"
          kept={cutter.material}
          read={(typed) => ok(typed.trim().slice(0, 40))}
          onKeep={(material) => keep((now) => ({ ...now, material }))}
        />
      </div>
      <Segmented
        aria-label="School of its number"
        value={cutter.school}
        onChange={(school) => keep((now) => ({ ...now, school: school as FormCutter['school'] }))}
        options={[
          { value: 'unknown', label: 'school not known' },
          { value: 'metric', label: 'metric school' },
          { value: 'inch', label: 'inch school' },
        ]}
      />
      <p className="soft">{lineOf(cutter)}</p>
      <p>
        <Button danger onClick={onRemove}>
          Take {cutter.name} out of the shop
        </Button>{' '}
        {set.length > 1 && (
          <Button danger onClick={() => onRemoveSet(set)}>
            Take all {set.length} of {setName(cutter)} out
          </Button>
        )}
      </p>
    </section>
  );
}
