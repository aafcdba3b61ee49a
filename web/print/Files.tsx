import { Checkbox } from 'antd';
import { useMemo, useState } from 'react';
import {
  fileSetSchema,
  filesOf,
  formatOf,
  type FileName,
  type FileSetTyped,
} from '../../core/files/index.ts';
import { fail, ok, type Result } from '../../core/findings/index.ts';
import type { Job } from '../../core/job/index.ts';
import type { Plan } from '../../core/plan/index.ts';
import type { SheetSet } from '../../core/sheet/index.ts';
import type { Equipment } from '../../core/shop/index.ts';
import { approx, measure, parseAngleDeg, type Measure } from '../../core/units/index.ts';
import { addressOf, PLACES } from '../../core/wire/index.ts';
import { MeasureField } from '../fields/index.ts';
import { Fold } from '../frame/index.ts';
import { FILE_WORDS } from './fileWords.ts';
import { ProgramFields, readProgram, usualProgram } from './ProgramFields.tsx';

interface PartFilesProps {
  readonly job: Job;
  readonly planned: Plan;
  readonly shop: Equipment;
  readonly paper: 'A4' | 'letter';
}

interface FilesProps extends PartFilesProps {
  /** What is wanted on the sheet besides what always is. */
  readonly set: SheetSet;
  readonly onSet: (set: SheetSet) => void;
}

type Kind = keyof typeof FILE_WORDS;
const kindOf = (name: FileName): Kind => name.split('.')[0] as Kind;

const FORMAT_WORDS = { pdf: 'PDF', svg: 'SVG', dxf: 'DXF', csv: 'CSV', nc: 'NC' } as const;

/** Where the server has a file of a stored job. */
const hrefOf = (job: Job, file: FileName, query: Record<string, unknown>): string =>
  addressOf(PLACES.readFile, { params: { id: job.id, file }, query });

/** The route sheet as a PDF, and every drawing, table and program that the parts have now. */
export function Files({ job, planned, shop, paper, set, onSet }: FilesProps) {
  const sheet = { paper, working: set.working ? 'yes' : 'no', spaces: set.spaces ? 'yes' : 'no' } as const;
  return (
    <section className="print-files" aria-label="Sheet and files">
      <p className="print-route">
        <a className="next-thing" href={hrefOf(job, 'sheet.pdf', sheet)} target="_blank" rel="noreferrer">
          Route sheet, PDF
        </a>
        <Checkbox checked={set.working} onChange={({ target }) => onSet({ ...set, working: target.checked })}>
          with the working
        </Checkbox>
        <Checkbox checked={set.spaces} onChange={({ target }) => onSet({ ...set, spaces: target.checked })}>
          with a table of every place
        </Checkbox>
      </p>
      <Fold className="more" summary="Drawings, tables and programs">
        <PartFiles job={job} planned={planned} shop={shop} paper={paper} />
      </Fold>
    </section>
  );
}

function PartFiles({ job, planned, shop, paper }: PartFilesProps) {
  const [program, setProgram] = useState(usualProgram(job.units));
  const read = readProgram(program);
  const [rackAngle, setRackAngle] = useState(measure('20', 'deg'));
  const angle = readRackAngle(rackAngle);
  const listed = useMemo(() => {
    const asked = {
      job,
      planned,
      shop,
      revision: 0,
      stored: '',
      address: null,
      set: fileSetSchema.parse({}),
    };
    return planned.parts.map(({ id, name, stations }) => ({
      id,
      name: name || (stations[0]?.answer ?? ''),
      files: filesOf({ ...asked, partId: id }).filter((file) => file !== 'sheet.pdf'),
    }));
  }, [job, planned, shop]);
  const hasRack = listed.some(({ files }) => files.some((file) => kindOf(file) === 'rack'));
  const hasPrograms = listed.some(({ files }) => files.some((file) => formatOf(file) === 'nc'));
  return (
    <>
      {listed.map(({ id, name, files }) => (
        <div key={id} className="print-file-list">
          {listed.length > 1 && <h3>{name}</h3>}
          {files.length === 0 && <p className="soft">Nothing can be drawn of it yet.</p>}
          <ul>
            {[...new Set(files.map(kindOf))].map((kind) => (
              <li key={kind}>
                <span>{FILE_WORDS[kind]}</span>
                <span>
                  {files
                    .filter((file) => kindOf(file) === kind)
                    .map((file) => (
                      <FileLink
                        key={file}
                        file={file}
                        href={hrefOf(job, file, {
                          part: id,
                          paper,
                          ...queryOf(file, read.set),
                          ...(kind === 'rack' && angle.ok ? { angle: angle.value } : {}),
                        })}
                        words={FILE_WORDS[kind]}
                        out={
                          (formatOf(file) === 'nc' && read.issues.length > 0) ||
                          (kind === 'rack' && !angle.ok)
                        }
                      />
                    ))}
                </span>
              </li>
            ))}
          </ul>
        </div>
      ))}
      {hasRack && (
        <div className="fields">
          <MeasureField
            label="Pressure angle of the rack"
            value={rackAngle}
            onChange={setRackAngle}
            issues={angle.ok ? [] : angle.issues}
            echo="Its card has the pitch alone."
            suffix="°"
          />
        </div>
      )}
      {hasPrograms && (
        <Fold className="more" summary="How your control takes a program" open={read.issues.length > 0}>
          <ProgramFields value={program} onChange={setProgram} issues={read.issues} />
        </Fold>
      )}
    </>
  );
}

/** Issues: those of the parser; out-of-range */
function readRackAngle(typed: Measure): Result<number> {
  const read = parseAngleDeg(typed);
  if (!read.ok) return read;
  const degrees = approx(read.value);
  if (degrees > 0 && degrees < 45) return ok(degrees);
  const detail = { what: 'A pressure angle' };
  const allowed = 'It lies between 0° and 45°';
  return fail({ code: 'out-of-range', path: '', severity: 'wrong', given: typed.typed, allowed, detail });
}

/** Only a program heeds how a control takes it. */
const queryOf = (file: FileName, set: FileSetTyped): Record<string, unknown> =>
  formatOf(file) === 'nc' ? { ...set } : {};

interface FileLinkProps {
  readonly file: FileName;
  readonly href: string;
  readonly words: string;
  /** Not to be had while something typed cannot be used. */
  readonly out: boolean;
}

function FileLink({ file, href, words, out }: FileLinkProps) {
  const format = formatOf(file);
  const said = FORMAT_WORDS[format];
  if (out) return <span className="file-link is-out">{said}</span>;
  const opens = format === 'pdf' ? { target: '_blank', rel: 'noreferrer' } : { download: '' };
  return (
    <a className="file-link" href={href} {...opens} aria-label={`${words}, ${said}`}>
      {said}
    </a>
  );
}
