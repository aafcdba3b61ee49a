import { Fragment } from 'react';
import { svgOf, type Drawing } from '../../core/drafting/index.ts';
import type { PartSheet, SheetBlock, SheetRow } from '../../core/sheet/index.ts';
import { PrintedPictures } from '../pictures/index.ts';

/** The page’s own face serves for every sign. */
const PAGE_FACE = {
  main: 'inherit',
  runs: (text: string) => [{ text, face: 'inherit' }],
};

/** The sheet of a part in the page: the same blocks as in the PDF, for the browser to print. */
export function SheetView({ part, foot }: { readonly part: PartSheet; readonly foot: string }) {
  return (
    <section className="print-part">
      <header className="sheet-head">
        <div>
          <h1>{part.title}</h1>
          <p className="sheet-what">{part.what}</p>
          <p className="sheet-aside">{part.machines}</p>
        </div>
        <dl>
          {part.head.map(({ label, figure }) => (
            <div key={label}>
              <dt>{label}</dt>
              <dd>{figure}</dd>
            </div>
          ))}
        </dl>
      </header>
      <Blocks blocks={part.blocks} />
      <footer>{foot}</footer>
    </section>
  );
}

/** Blocks do not change their places: each is known by where it stands. */
function Blocks({ blocks }: { readonly blocks: readonly SheetBlock[] }) {
  return blocks.map((block, i) => <Block key={i} block={block} />);
}

function Title({ title, aside }: { readonly title: string; readonly aside: string }) {
  return (
    <h2>
      {title}
      {aside && <span className="sheet-aside">{aside}</span>}
    </h2>
  );
}

function Block({ block }: { readonly block: SheetBlock }) {
  switch (block.kind) {
    case 'rows':
      return (
        <div className="sheet-block">
          <Title {...block} />
          <table>
            <tbody>
              {block.rows.map((row) => (
                <Row key={row.label} row={row} />
              ))}
            </tbody>
          </table>
        </div>
      );
    case 'drawing':
      return (
        <div className="sheet-block">
          <Title {...block} />
          <DrawnToScale drawing={block.drawing} name={block.title} />
        </div>
      );
    case 'list':
      return <List {...block} />;
    case 'boxes':
      return (
        <div className="sheet-block">
          <Title {...block} />
          <ol className="sheet-boxes">
            {block.boxes.map(({ number, at, heavy }, i) => (
              <li key={i} className={heavy ? 'is-marked' : ''}>
                <small>{number}</small> <b>{at}</b>
              </li>
            ))}
          </ol>
        </div>
      );
    case 'said':
      return (
        <p className={block.tone === 'plain' ? '' : 'sheet-said'}>
          {block.lead && <b>{block.lead} </b>}
          {block.text}
        </p>
      );
    case 'table':
      return <Table {...block} />;
    case 'blanks':
      return (
        <p className="sheet-blanks">
          {block.labels.map((label) => (
            <span key={label}>{label}: ______________</span>
          ))}
        </p>
      );
    case 'pictures':
      return <PrintedPictures about={block.about} alone={block.alone} />;
    case 'beside':
      return (
        <div className="sheet-beside">
          <div>
            <Blocks blocks={block.left} />
          </div>
          <div>
            <Blocks blocks={block.right} />
          </div>
        </div>
      );
  }
}

function Row({ row: { label, figure, other, strong } }: { readonly row: SheetRow }) {
  return (
    <tr>
      <th scope="row" className={strong ? 'is-strong' : ''}>
        {label}
      </th>
      <td className="num">{figure}</td>
      <td className="num sheet-aside">{other}</td>
    </tr>
  );
}

function List({ title, aside, large, lines, numbered }: Extract<SheetBlock, { kind: 'list' }>) {
  return (
    <div className="sheet-block">
      <Title title={title} aside={aside} />
      {large && <p className="sheet-large">{large}</p>}
      <p className="sheet-lines">
        {lines.map((line, i) => (
          <Fragment key={i}>
            {numbered && <b>{i + 1}</b>} {line}{' '}
          </Fragment>
        ))}
      </p>
    </div>
  );
}

function Table({ title, aside, heading, rows }: Extract<SheetBlock, { kind: 'table' }>) {
  return (
    <div className="sheet-block">
      <Title title={title} aside={aside} />
      <table>
        <thead>
          <tr>
            {heading.map((name) => (
              <th key={name} scope="col">
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((cells, i) => (
            <tr key={i}>
              {cells.map((cell, k) => (
                <td key={k}>{cell || '\u00a0'}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** A drawing at its size on paper. What is written in it is made safe where the SVG is. */
function DrawnToScale({ drawing, name }: { readonly drawing: Drawing; readonly name: string }) {
  const svg = svgOf(drawing, { margin: 1, faces: PAGE_FACE });
  return <div role="img" aria-label={name} dangerouslySetInnerHTML={{ __html: svg }} />;
}
