import { Button } from 'antd';
import type { ReactNode } from 'react';
import { Pictures } from '../pictures/index.ts';

interface ListOfProps {
  readonly label: string;
  readonly things: readonly { readonly id: string; readonly name: string; readonly line: string }[];
  readonly chosen: string | null;
  readonly onChoose: (id: string) => void;
  /** Ways to add another, each with its words. */
  readonly adding: readonly { readonly words: string; readonly add: () => void }[];
  readonly foot: ReactNode;
}

/** What there is of a kind, and ways to add another. */
export function ListOf({ label, things, chosen, onChoose, adding, foot }: ListOfProps) {
  const here = things.find(({ id }) => id === chosen);
  return (
    <section className="shop-list" aria-label={label}>
      <ul>
        {things.map(({ id, name, line }) => (
          <li key={id}>
            <button type="button" aria-current={id === chosen} onClick={() => onChoose(id)}>
              {name}
              <small>{line}</small>
            </button>
          </li>
        ))}
      </ul>
      {things.length === 0 && <p className="soft shop-none">None listed yet.</p>}
      <div className="shop-adding">
        {adding.map(({ words, add }) => (
          <Button key={words} onClick={add}>
            {words}
          </Button>
        ))}
      </div>
      {here && /^[A-Za-z0-9_-]+$/.test(here.id) && (
        <div className="shop-pictures">
          <Pictures about={`shop/${here.id}`} of={here.name} />
        </div>
      )}
      <div className="shop-foot">{foot}</div>
    </section>
  );
}
