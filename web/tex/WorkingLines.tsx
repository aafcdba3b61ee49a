import { useEffect, useRef } from 'react';
import { boardTex, type Working } from '../../core/station/index.ts';
import type { UnitSystem } from '../../core/units/index.ts';
import { Tex } from './Tex.tsx';
import './working.css';

/** Lines of working as on a blackboard: what it is, the formula with the figures put in, where it is from. */
export function WorkingLines({
  working,
  units,
  comeIntoSight = false,
}: {
  readonly working: readonly Working[];
  readonly units: UnitSystem;
  readonly comeIntoSight?: boolean;
}) {
  const list = useRef<HTMLOListElement>(null);
  useEffect(() => {
    // asked for just now, not shown as the card opened
    if (comeIntoSight) list.current?.scrollIntoView({ block: 'nearest' });
  }, [comeIntoSight]);
  return (
    <ol className="working-lines" ref={list}>
      {working.map((line) => (
        <li key={line.key}>
          <span className="working-label">{line.label}</span>
          <Tex tex={boardTex(line, units)} />
          <span className="working-source">{line.source}</span>
        </li>
      ))}
    </ol>
  );
}
