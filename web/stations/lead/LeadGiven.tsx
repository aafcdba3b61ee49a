import { withLeadGears, withMill } from '../../../core/job/index.ts';
import type { LeadInput } from '../../../core/lead/index.ts';
import { dividingGround } from '../../../core/plan/index.ts';
import { lengthText } from '../../../core/units/index.ts';
import { ChoiceField, EitherField, Length, LengthField } from '../../fields/index.ts';
import { Fold } from '../../frame/index.ts';
import { bindTo, type StationProps } from '../../panel/index.ts';

const DRIVES = [
  { value: 'worm', label: 'the worm' },
  { value: 'spindle', label: 'the spindle' },
] as const;

interface LeadGivenProps extends StationProps<'lead'> {
  readonly set: (change: Partial<LeadInput>) => void;
}

/** What the lead is worked out with: mill, gears, the shaft that is driven, and what a tooth may stray. */
export function LeadGiven({ station, part, units, shop, job, edit, issuesAt, set }: LeadGivenProps) {
  const { detail } = station;
  const { inForce, wanted, machine, drive } = detail;
  const { gearSets } = dividingGround(job, shop, part);
  const sets = [...new Map(gearSets.map((gears) => [gears.id, gears])).values()];
  const bind = bindTo(part.lead, set, (field) => issuesAt(`lead.${field}`));
  return (
    <Fold className="more" open={inForce === null} summary="Mill, gears, and what a tooth may stray">
      <div className="fields">
        <ChoiceField
          label="Mill"
          value={detail.mill?.id ?? null}
          options={shop.mills.map(({ id, name, lead }) => ({
            value: id,
            label: `${name}, ${lead.typed} ${lead.unit} a turn`,
          }))}
          onChange={(id) => edit((now) => withMill({ job: now, partId: part.id, millId: id, shop }))}
          echo={
            machine !== null && (
              <>
                Lead of the machine <Length mm={machine} units={units} />
              </>
            )
          }
        />
        <ChoiceField
          label="Gears"
          value={detail.gearSet?.id ?? null}
          options={sets.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={(id) => edit((now) => withLeadGears({ job: now, partId: part.id, gearSetId: id, shop }))}
          echo={detail.head && `on ${detail.head.name}`}
        />
        <EitherField
          label="The last gear drives"
          value={drive}
          options={DRIVES}
          onChange={(to) => set({ drive: to, choice: null })}
          echo={
            drive === 'worm'
              ? wanted !== null && (
                  <>
                    Lead wanted <Length mm={wanted} units={units} />
                  </>
                )
              : 'For short leads. The worm is out, so the crank divides nothing.'
          }
        />
        <LengthField
          label="A tooth may stray by"
          {...bind('allowed')}
          units={units}
          hint={`Over the face. Empty: ${lengthText(0.02, units, 'fine')}.`}
        />
      </div>
    </Fold>
  );
}
