import type { DividingGround } from '../dividing/index.ts';
import type { Issue } from '../findings/index.ts';
import type { Job, Part } from '../job/index.ts';
import type { Equipment, Head } from '../shop/index.ts';
import type { UnitSystem } from '../units/index.ts';
import { planSpur } from './spur.ts';
import type { PartPlan, Plan } from './types.ts';

/** How each kind of part is planned. One line for each kind. */
const planPart: {
  [Kind in Part['kind']]: (
    part: Extract<Part, { kind: Kind }>,
    ground: DividingGround,
    system: UnitSystem,
  ) => PartPlan;
} = {
  spur: planSpur,
};

/** The job's own copy of the head rules; the shop's serves where the job has none. */
function headOf(
  job: Job,
  shop: Equipment,
  headId: string | null,
): { head: Head | null; finding: Issue | null } {
  const own = job.equipment.heads.find((head) => head.id === headId) ?? null;
  const live = shop.heads.find((head) => head.id === headId) ?? null;
  const head = own ?? live;
  if (!own || !head) return { head, finding: null };
  const detail = { head: own.name };
  const issue = { path: 'equipment.heads', severity: 'note', given: own.id, detail } as const;
  if (!live) return { head, finding: { ...issue, code: 'head-left-shop' } };
  return {
    head,
    finding: JSON.stringify(live) === JSON.stringify(own) ? null : { ...issue, code: 'head-changed' },
  };
}

/**
 * From the document and the shop's equipment to the plan: a pure function that screens, server and exports only render.
 * It checks and proves what is chosen and ranks what is cheap to find.
 * @param job a checked document @param shop what is on hand today
 */
export function plan(job: Job, shop: Equipment): Plan {
  const findings: Issue[] = [];
  const parts = job.parts.map((part) => {
    const { head, finding } = headOf(job, shop, part.dividing.headId);
    if (finding && !findings.some(({ given }) => given === finding.given)) findings.push(finding);
    const gearSets = [...job.equipment.gearSets, ...shop.gearSets];
    return planPart[part.kind](part, { head, gearSets, shopHeads: shop.heads }, job.units);
  });
  return { jobId: job.id, name: job.name, units: job.units, parts, findings };
}

/** What stands in the way of storing this document: wrong figures at their fields. Missing ones may be stored. */
export function refusals(planned: Plan): Issue[] {
  return planned.parts.flatMap((part) =>
    part.stations.flatMap((station) => station.issues.filter((issue) => issue.severity === 'wrong')),
  );
}
