import { Button, Input, Modal } from 'antd';
import { useRef, useState } from 'react';
import { sayIssue } from '../../core/messages/index.ts';
import { readTable, TABLE_NAMES, writeTable, type TableId, type TableRead } from '../../core/shop/index.ts';
import { plural } from '../../core/units/index.ts';
import { Notice, saveTable } from '../frame/index.ts';
import { PASTED, readCsv, readPasted, type CsvRead } from './readCsv.ts';
import type { ShopProps } from './shopProps.ts';

interface CsvToolsProps extends Pick<ShopProps, 'equipment' | 'edit'> {
  readonly tables: readonly TableId[];
}

type Brought =
  | { readonly kind: 'read'; readonly table: TableId; readonly file: string; readonly read: TableRead }
  | { readonly kind: 'refused'; readonly why: string };

/**
 * Tables out and in as CSV. What comes in is shown first: rows that can be taken, and the others with their
 * reasons.
 */
export function CsvTools({ tables, equipment, edit }: CsvToolsProps) {
  const [brought, setBrought] = useState<Brought | null>(null);
  const [pasting, setPasting] = useState<TableId | null>(null);
  const bring = async (table: TableId, name: string, csv: CsvRead) => {
    if (!csv.ok) return setBrought({ kind: 'refused', why: csv.why });
    const read = readTable(table, csv.cells, equipment);
    setBrought(
      read.ok
        ? { kind: 'read', table, file: name, read: read.value }
        : { kind: 'refused', why: `${read.issues.map(sayIssue).join(' ')} Nothing was changed.` },
    );
  };
  const take = (read: TableRead) => {
    const why = edit(() => read.equipment);
    setBrought(why ? { kind: 'refused', why } : null);
  };
  return (
    <div className="csv-tools">
      {tables.map((table) => (
        <div key={table} className="csv-row">
          <span>{TABLE_NAMES[table]}</span>
          <button
            type="button"
            className="plain-link"
            onClick={() =>
              void saveTable(`${TABLE_NAMES[table].replace(/ /g, '-')}.csv`, writeTable(table, equipment))
            }
          >
            save as CSV
          </button>
          <BringIn
            label={`Bring in ${TABLE_NAMES[table]} from CSV`}
            onFile={(file) => void readCsv(file).then((csv) => bring(table, file.name, csv))}
          />
          <button
            type="button"
            className="plain-link"
            aria-label={`Paste ${TABLE_NAMES[table]} from a spreadsheet`}
            onClick={() => setPasting(table)}
          >
            paste
          </button>
        </div>
      ))}
      {pasting && (
        <Paste
          table={pasting}
          heading={writeTable(pasting, equipment)[0] ?? []}
          onPasted={(text) => {
            setPasting(null);
            void readPasted(text).then((csv) => bring(pasting, PASTED, csv));
          }}
          onLeave={() => setPasting(null)}
        />
      )}
      {brought?.kind === 'refused' && (
        <Notice tone="wrong" actions={<Button onClick={() => setBrought(null)}>Understood</Button>}>
          {brought.why}
        </Notice>
      )}
      {brought?.kind === 'read' && (
        <Agree brought={brought} onTake={() => take(brought.read)} onLeave={() => setBrought(null)} />
      )}
    </div>
  );
}

function BringIn({ label, onFile }: { readonly label: string; readonly onFile: (file: File) => void }) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <button type="button" className="plain-link" aria-label={label} onClick={() => input.current?.click()}>
        bring in
      </button>
      <input
        ref={input}
        type="file"
        accept=".csv,text/csv,text/plain"
        hidden
        onChange={(event) => {
          const file = event.target.files?.[0];
          // the same file may be brought again once it has been mended
          event.target.value = '';
          if (file) onFile(file);
        }}
      />
    </>
  );
}

interface PasteProps {
  readonly table: TableId;
  /** Names of its columns. */
  readonly heading: readonly string[];
  readonly onPasted: (text: string) => void;
  readonly onLeave: () => void;
}

/** Rows from a spreadsheet, its heading with them: shown before anything is changed. */
function Paste({ table, heading, onPasted, onLeave }: PasteProps) {
  const [text, setText] = useState('');
  return (
    <Modal open title={`Paste ${TABLE_NAMES[table]}`} onCancel={onLeave} footer={null} width={680}>
      <p>Copy the rows in your spreadsheet with the row of names above them, and paste them here.</p>
      <p className="soft">The names: {heading.join(', ')}. Those that are not there stay empty.</p>
      <Input.TextArea
        aria-label="Rows from a spreadsheet"
        rows={8}
        autoFocus
        value={text}
        onChange={({ target }) => setText(target.value)}
      />
      <div className="notice-actions">
        <Button type="primary" size="large" disabled={text.trim() === ''} onClick={() => onPasted(text)}>
          Look at the rows
        </Button>
        <Button size="large" onClick={onLeave}>
          Leave the shop as it is
        </Button>
      </div>
    </Modal>
  );
}

interface AgreeProps {
  readonly brought: Extract<Brought, { kind: 'read' }>;
  readonly onTake: () => void;
  readonly onLeave: () => void;
}

/** What can be taken and what cannot, before anything is changed. */
function Agree({ brought: { file, table, read }, onTake, onLeave }: AgreeProps) {
  const { good, bad } = read;
  return (
    <Modal open title={`${file}: ${TABLE_NAMES[table]}`} onCancel={onLeave} footer={null} width={680}>
      <p>
        {good === 0 ? 'No row can be taken.' : `${plural(good, 'row')} can be taken.`}{' '}
        {bad.length > 0 && `${plural(bad.length, 'row')} cannot:`}
      </p>
      {bad.length > 0 && (
        <table className="list">
          <thead>
            <tr>
              <th scope="col" className="num">
                row
              </th>
              <th scope="col">as it stands</th>
              <th scope="col">why</th>
            </tr>
          </thead>
          <tbody>
            {bad.slice(0, 40).map(({ row, cells, issues }) => (
              <tr key={row}>
                <td className="num">{row}</td>
                <td>{cells.join(' | ').slice(0, 80)}</td>
                <td>{issues.map(sayIssue).join(' ')}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {bad.length > 40 && <p className="soft">and {bad.length - 40} more.</p>}
      <p className="soft">Rows of a name that is there already take its place. Nothing is removed.</p>
      <div className="notice-actions">
        <Button type="primary" size="large" onClick={onTake} disabled={good === 0}>
          Take {plural(good, 'row')}
        </Button>
        <Button size="large" onClick={onLeave}>
          Leave the shop as it is
        </Button>
      </div>
    </Modal>
  );
}
