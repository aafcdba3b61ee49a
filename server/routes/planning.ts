import { aimFrom, rankMethods, searchMethods } from '../../core/dividing/index.ts';
import { indexedParts, type Job } from '../../core/job/index.ts';
import { isGear } from '../../core/kinds/index.ts';
import { searchBends, searchLeads } from '../../core/lead/index.ts';
import { bendQuestion, dividingGround, leadQuestion, plan, stationOf } from '../../core/plan/index.ts';
import { STOCK_EQUIPMENT, type Equipment } from '../../core/shop/index.ts';
import { calls } from '../../core/wire/index.ts';
import { notFound } from '../problems.ts';
import type { ShopService } from '../services/index.ts';
import { jobFrom } from './jobs.ts';
import { answer, type Route } from './route.ts';

/**
 * What the dividing station finds at once and what takes longer, ranked together. @throws Refused 404 for a
 * part that is not there
 */
function waysOf(job: Job, partId: string | undefined, shop: Equipment) {
  const parts = indexedParts(job);
  const part = partId === undefined ? parts[0] : parts.find(({ id }) => id === partId);
  if (!part) throw notFound('part', partId ?? '');
  const planned = plan(job, shop).parts.find(({ id }) => id === part.id)!;
  const { aim, methods, lead } = stationOf(planned, 'dividing')!.detail;
  const { head, gearSets, steppers } = dividingGround(job, shop, part);
  if (!aim || !head) return { methods: rankMethods(methods), nearest: [] };
  const searched = searchMethods({ head, gearSets, steppers, lead }, aimFrom(aim));
  return { methods: rankMethods([...methods, ...searched.methods]), nearest: searched.nearest };
}

/**
 * The longer search for a helical part's trains, and the angles its gears cut. @throws Refused 404 for a part
 * that is not there
 */
function leadsOf(job: Job, partId: string | undefined, shop: Equipment) {
  const part = partId === undefined ? job.parts[0] : job.parts.find(({ id }) => id === partId);
  if (!part || !isGear(part)) throw notFound('part', partId ?? '');
  const planned = plan(job, shop).parts.find(({ id }) => id === part.id)!;
  const detail = stationOf(planned, 'lead')?.detail;
  const lead = detail ? leadQuestion({ job, part, detail, shop }) : null;
  const bend = detail ? bendQuestion({ job, part, detail, shop }) : null;
  return {
    trains: lead ? searchLeads(lead) : [],
    bent: bend ? searchBends(bend) : { single: [], pair: null },
  };
}

export const planningRoutes = (shop: ShopService): Route[] => [
  answer(calls.plan, ({ body }) => plan(jobFrom(body.job), body.equipment ?? STOCK_EQUIPMENT)),
  answer(calls.ways, ({ body }) => waysOf(jobFrom(body.job), body.partId, body.equipment ?? STOCK_EQUIPMENT)),
  answer(calls.leads, ({ body }) =>
    leadsOf(jobFrom(body.job), body.partId, body.equipment ?? STOCK_EQUIPMENT),
  ),
  answer(calls.readShop, () => shop.read()),
  answer(calls.saveShop, ({ body }) => shop.save(body.revision, body.equipment)),
];
