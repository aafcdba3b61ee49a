import { Checkbox } from 'antd';
import { useState } from 'react';
import { countTrains, tableOfGears, trainText } from '../../../core/gearing/index.ts';
import { strayText, type LeadInput, type LeadWay } from '../../../core/lead/index.ts';
import { leadQuestion } from '../../../core/plan/index.ts';
import { plural } from '../../../core/units/index.ts';
import { Gears, Length } from '../../fields/index.ts';
import { useLeads, WorkBroke } from '../../workers/index.ts';
import type { StationProps } from '../../panel/index.ts';

interface LeadWaysProps extends StationProps<'lead'> {
  readonly set: (change: Partial<LeadInput>) => void;
}

const FEW = 5;

/** Trains with other gears, but the same lead, are said once with the plainest. */
function byLead(ways: readonly LeadWay[]): readonly (readonly LeadWay[])[] {
  const groups = new Map<string, LeadWay[]>();
  for (const way of ways) groups.set(way.leadText, [...(groups.get(way.leadText) ?? []), way]);
  return [...groups.values()];
}

/** The trains for the lead, the least harm over the face first; each a press away. */
export function LeadWays({ station, part, job, shop, units, set }: LeadWaysProps) {
  const [all, setAll] = useState(false);
  const { detail } = station;
  const question = leadQuestion({ job, part, detail, shop });
  const { found: longer, broken } = useLeads(all || part.lead.sixGears ? question : null);
  if (!question) return null;
  const { gears, compound: stud } = question;
  const ways = longer ?? detail.ways;
  if (ways.length === 0) return null;
  const groups = byLead(ways);
  const shown = all ? groups : groups.slice(0, FEW);
  const key = detail.inForce && trainText(detail.inForce.train);
  return (
    <section className="methods" aria-label="Trains">
      <h3 className="methods-head">
        Trains, the least astray over this face first
        <small className="soft">
          {' '}
          of {plural(countTrains(tableOfGears(gears), stud), 'train')} that go together
        </small>
      </h3>
      {shown.map((group) => (
        <TrainRow
          key={group[0]!.leadText}
          group={group}
          inForce={key}
          units={units}
          all={all}
          onChoose={(way) => set({ choice: way.train })}
        />
      ))}
      <div className="lead-more">
        <button type="button" className="plain-link" aria-expanded={all} onClick={() => setAll(!all)}>
          {all ? 'Fewer' : 'The best fifty'}
        </button>
        {stud && (
          <Checkbox checked={part.lead.sixGears} onChange={({ target }) => set({ sixGears: target.checked })}>
            six gears too, on two studs
          </Checkbox>
        )}
        {(all || part.lead.sixGears) && longer === null && broken === null && (
          <span className="said">Looking…</span>
        )}
        <WorkBroke what="The search for trains" broken={broken} />
      </div>
    </section>
  );
}

interface TrainRowProps {
  readonly group: readonly LeadWay[];
  /** The train in force, as text. */
  readonly inForce: string | null;
  readonly units: StationProps<'lead'>['units'];
  readonly all: boolean;
  readonly onChoose: (way: LeadWay) => void;
}

function TrainRow({ group, inForce, units, all, onChoose }: TrainRowProps) {
  const isUsed = (way: LeadWay) => trainText(way.train) === inForce;
  const shown = group.find(isUsed) ?? group.find(({ clears, refused }) => clears && !refused) ?? group[0]!;
  const chosen = isUsed(shown);
  const others = group.filter((way) => way !== shown);
  const trouble = shown.refused ?? (shown.clears ? null : 'the wheels may foul a stud');
  return (
    <div className={`method ${chosen ? 'is-best' : ''}`}>
      <div className="method-line lead-line">
        <span className="method-words">
          <Gears train={shown.train} />
        </span>
        <span className="num">{strayText(shown.overFace)}</span>
        <UseTrain way={shown} chosen={chosen} onChoose={onChoose} />
      </div>
      <div className="method-why lead-why">
        Lead <Length mm={shown.lead} units={units} />
        {shown.idlers > 0 ? `, ${plural(shown.idlers, 'idler')}` : ', no idler'}
        {trouble && `; ${trouble}`}
        {others.length > 0 && !all && `; ${plural(others.length, 'other')} of the same lead`}
      </div>
      {all &&
        others.map((way) => (
          <div key={trainText(way.train)} className="method-line lead-line lead-why">
            <span>
              <Gears train={way.train} />
            </span>
            <span>{way.refused ?? (way.clears ? '' : 'may foul a stud')}</span>
            <UseTrain way={way} chosen={isUsed(way)} onChoose={onChoose} />
          </div>
        ))}
    </div>
  );
}

function UseTrain({
  way,
  chosen,
  onChoose,
}: {
  readonly way: LeadWay;
  readonly chosen: boolean;
  readonly onChoose: (way: LeadWay) => void;
}) {
  return (
    <button
      type="button"
      className="use-button"
      aria-pressed={chosen}
      aria-label={chosen ? undefined : `Use ${trainText(way.train)}`}
      disabled={chosen}
      onClick={() => onChoose(way)}
    >
      {chosen ? 'in use' : 'Use'}
    </button>
  );
}
