import { z } from 'zod';
import { plan } from '../../core/plan/index.ts';
import { equipmentSchema, STOCK_EQUIPMENT } from '../../core/shop/index.ts';
import type { ShopService } from '../services/index.ts';
import { jobBodySchema } from './bodies.ts';
import { jobFrom } from './jobs.ts';
import { route, type Route } from './route.ts';

export function planningRoutes(shop: ShopService): Route[] {
  return [
    route({
      method: 'post',
      path: '/plan',
      summary: 'The plan of a job, stored nowhere: with the equipment given, else with the stock sets.',
      body: z.object({ job: jobBodySchema, equipment: equipmentSchema.optional() }),
      refusals: [422],
      handle: ({ body }) => plan(jobFrom(body.job), body.equipment ?? STOCK_EQUIPMENT),
    }),
    route({
      method: 'get',
      path: '/shop',
      summary: 'The shop’s equipment with its revision.',
      handle: () => shop.read(),
    }),
    route({
      method: 'put',
      path: '/shop',
      summary: 'Saves the shop’s equipment.',
      body: z.object({ revision: z.int().min(0), equipment: equipmentSchema }),
      refusals: [409, 422],
      handle: ({ body }) => shop.save(body.revision, body.equipment),
    }),
  ];
}
