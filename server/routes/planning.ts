import { shapes } from '../../core/wire/index.ts';
import { z } from 'zod';
import { aimFrom, rankMethods, searchMethods } from '../../core/dividing/index.ts';
import { indexedParts, type Job } from '../../core/job/index.ts';
import { isGear } from '../../core/kinds/index.ts';
import { searchBends, searchLeads } from '../../core/lead/index.ts';
import { bendQuestion, dividingGround, leadQuestion, plan, stationOf } from '../../core/plan/index.ts';
import { STOCK_EQUIPMENT, type Equipment } from '../../core/shop/index.ts';
import { notFound } from '../problems.ts';
import type { ShopService } from '../services/index.ts';
import { equipmentBodySchema, jobBodySchema } from './bodies.ts';
import { jobFrom } from './jobs.ts';
import { route, type Route } from './route.ts';

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

export function planningRoutes(shop: ShopService): Route[] {
  return [
    route({
      method: 'post',
      path: '/plan',
      answers: shapes.planShape,
      summary: 'The plan of a job, stored nowhere: with the equipment given, else with the stock sets.',
      body: z.object({ job: jobBodySchema, equipment: equipmentBodySchema.optional() }),
      refusals: [422],
      handle: ({ body }) => plan(jobFrom(body.job), body.equipment ?? STOCK_EQUIPMENT),
    }),
    route({
      method: 'post',
      path: '/ways',
      answers: shapes.waysShape,
      summary:
        'Every way of dividing a part of a job, by method, the least trouble first; those that are out say why. Stored nowhere.',
      body: z.object({
        job: jobBodySchema,
        partId: z.string().optional(),
        equipment: equipmentBodySchema.optional(),
      }),
      refusals: [404, 422],
      handle: ({ body }) => waysOf(jobFrom(body.job), body.partId, body.equipment ?? STOCK_EQUIPMENT),
    }),
    route({
      method: 'post',
      path: '/leads',
      answers: shapes.leadsShape,
      summary:
        'Trains for the lead of a helical part, the least astray over its face first, and the angles near its own that the gears cut exactly; empty where the part has no lead. Stored nowhere.',
      body: z.object({
        job: jobBodySchema,
        partId: z.string().optional(),
        equipment: equipmentBodySchema.optional(),
      }),
      refusals: [404, 422],
      handle: ({ body }) => leadsOf(jobFrom(body.job), body.partId, body.equipment ?? STOCK_EQUIPMENT),
    }),
    route({
      method: 'get',
      path: '/shop',
      answers: shapes.storedShopShape,
      summary: 'The shop’s equipment with its revision.',
      handle: () => shop.read(),
    }),
    route({
      method: 'put',
      path: '/shop',
      answers: shapes.storedShopShape,
      summary: 'Saves the shop’s equipment.',
      body: z.object({ revision: z.int().min(0), equipment: equipmentBodySchema }),
      refusals: [409, 422],
      handle: ({ body }) => shop.save(body.revision, body.equipment),
    }),
  ];
}
