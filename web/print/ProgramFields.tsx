import { Input } from 'antd';
import { useId } from 'react';
import { fileSetSchema, type FileSetTyped } from '../../core/files/index.ts';
import { placedUnder, type Issue } from '../../core/findings/index.ts';
import { shapeIssues } from '../../core/job/index.ts';
import { sayIssue } from '../../core/messages/index.ts';
import {
  approx,
  measure,
  parsePositiveLength,
  parseCount,
  type Measure,
  type UnitSystem,
} from '../../core/units/index.ts';
import { ChoiceField, EitherField, LengthField, MeasureField } from '../fields/index.ts';

/** How an owner’s control takes a program, as typed. */
export interface ProgramTyped {
  readonly units: UnitSystem;
  readonly safe: Measure;
  readonly deep: Measure;
  readonly feed: Measure;
  readonly rpm: Measure;
  readonly by: 'cycle' | 'moves';
  readonly axis: 'A' | 'B' | 'C';
  readonly sense: 'plus' | 'minus';
  readonly begin: string;
  readonly end: string;
  readonly ends: 'lf' | 'crlf';
  readonly numbered: 'yes' | 'no';
}

const USUAL = fileSetSchema.parse({});

/** The usual figures, in the job’s units. */
export const usualProgram = (units: UnitSystem): ProgramTyped => {
  const { by, axis, sense, begin, end, ends, numbered, rpm } = USUAL;
  const length = (mm: number, inch: string) => measure(units === 'mm' ? String(mm) : inch, units);
  return {
    units,
    ...{ by, axis, sense, begin, end, ends, numbered },
    safe: length(USUAL.safe, '0.2'),
    deep: length(USUAL.deep, '5/16'),
    feed: length(USUAL.feed, '2.4'),
    rpm: measure(String(rpm), 'count'),
  };
};

/** What the server is asked by; issues where something typed cannot be used. */
export function readProgram(typed: ProgramTyped): {
  readonly set: FileSetTyped;
  readonly issues: readonly Issue[];
} {
  const { units, by, axis, sense, begin, end, ends, numbered } = typed;
  const lengths = {
    safe: parsePositiveLength(typed.safe, 'The safe height'),
    deep: parsePositiveLength(typed.deep, 'The depth'),
    feed: parsePositiveLength(typed.feed, 'The feed'),
    rpm: parseCount({ given: typed.rpm, what: 'The speed', least: 1, most: 60_000 }),
  };
  const words = fileSetSchema.pick({ begin: true, end: true }).safeParse({ begin, end });
  const issues = [
    ...Object.entries(lengths).flatMap(([field, read]) => (read.ok ? [] : placedUnder(field, read.issues))),
    ...(words.success ? [] : shapeIssues(words.error, { begin, end })),
  ];
  const { safe, deep, feed, rpm } = lengths;
  return {
    issues,
    set: {
      ...{ units, by, axis, sense, begin, end, ends, numbered },
      ...(safe.ok ? { safe: approx(safe.value) } : {}),
      ...(deep.ok ? { deep: approx(deep.value) } : {}),
      ...(feed.ok ? { feed: approx(feed.value) } : {}),
      ...(rpm.ok ? { rpm: rpm.value } : {}),
    },
  };
}

interface ProgramFieldsProps {
  readonly value: ProgramTyped;
  readonly onChange: (value: ProgramTyped) => void;
  readonly issues: readonly Issue[];
}

/** How the control takes its programs, and how a plate is drilled. */
export function ProgramFields({ value, onChange, issues }: ProgramFieldsProps) {
  const at = (field: string) => issues.filter(({ path }) => path === field);
  const set = <Field extends keyof ProgramTyped>(field: Field) => ({
    value: value[field],
    onChange: (next: ProgramTyped[Field]) => onChange({ ...value, [field]: next }),
    issues: at(field),
  });
  const units = value.units;
  return (
    <>
      <div className="fields">
        <EitherField
          label="Figures of the program in"
          {...set('units')}
          options={[
            { value: 'mm', label: 'mm, G21' },
            { value: 'in', label: 'inches, G20' },
          ]}
        />
        <EitherField
          label="Each hole by"
          {...set('by')}
          options={[
            { value: 'cycle', label: 'a cycle, G81' },
            { value: 'moves', label: 'its moves' },
          ]}
        />
        <LengthField label="Safe height above the plate" {...set('safe')} units={units} />
        <LengthField
          label="Deep, below its top"
          {...set('deep')}
          units={units}
          hint="Through, with the point."
        />
        <LengthField label="Feed a minute" {...set('feed')} units={units} />
        <MeasureField label="Spindle speed, rpm" {...set('rpm')} />
        <ChoiceField
          label="Turning axis"
          {...set('axis')}
          options={(['A', 'B', 'C'] as const).map((axis) => ({ value: axis, label: axis }))}
        />
        <EitherField
          label="Along a right-hand helix it counts"
          {...set('sense')}
          options={[
            { value: 'plus', label: 'up' },
            { value: 'minus', label: 'down' },
          ]}
        />
        <OwnBlocks label="Own words at the start" {...set('begin')} />
        <OwnBlocks label="Own words at the end" {...set('end')} />
        <EitherField
          label="Lines end with"
          {...set('ends')}
          options={[
            { value: 'lf', label: 'LF' },
            { value: 'crlf', label: 'CR LF' },
          ]}
        />
        <EitherField
          label="Lines numbered"
          {...set('numbered')}
          options={[
            { value: 'no', label: 'no' },
            { value: 'yes', label: 'N10, N20 …' },
          ]}
        />
      </div>
      <p className="soft">
        A plate’s zero is its middle and its top; cut round, X 0 is the first touch at full depth, Z 0 the
        outside. A program cannot see the machine: prove it in air first, hands clear and guards shut; the
        machine’s manual, your shop’s rules and local codes come first.
      </p>
    </>
  );
}

/** Words of the owner’s own control, as they go into the program. */
function OwnBlocks({
  label,
  value,
  onChange,
  issues,
}: {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly issues: readonly Issue[];
}) {
  const id = useId();
  return (
    <div className="field">
      <label htmlFor={id}>{label}</label>
      <Input
        id={id}
        value={value}
        maxLength={400}
        placeholder="G17; M8"
        status={issues.length > 0 ? 'error' : ''}
        autoComplete="off"
        spellCheck={false}
        onChange={({ target }) => onChange(target.value.toUpperCase())}
      />
      {issues.map((issue) => (
        <div key={issue.code} className="field-issue is-wrong">
          ✕ {sayIssue(issue)}
        </div>
      ))}
    </div>
  );
}
