import { STOCK_EQUIPMENT } from '../../core/shop/index.ts';
import { calls } from '../../core/wire/index.ts';
import type { Desk } from '../heavy/index.ts';
import type { ShopService } from '../services/index.ts';
import { jobFrom } from './jobs.ts';
import { answer, answerText, type Route } from './route.ts';

export const planningRoutes = (shop: ShopService, desk: Desk): Route[] => [
  answerText(calls.plan, ({ body: { job, equipment = STOCK_EQUIPMENT } }, gone) =>
    desk.ask('plan', { job: jobFrom(job), equipment }, { gone }),
  ),
  answerText(calls.ways, ({ body: { job, partId, equipment = STOCK_EQUIPMENT } }, gone) =>
    desk.ask('ways', { job: jobFrom(job), partId, equipment }, { gone }),
  ),
  answerText(calls.leads, ({ body: { job, partId, equipment = STOCK_EQUIPMENT } }, gone) =>
    desk.ask('leads', { job: jobFrom(job), partId, equipment }, { gone }),
  ),
  answerText(calls.toBuy, async ({ query }, gone) => JSON.stringify(await shop.toBuy(query.tolerance, gone))),
  answer(calls.readShop, () => shop.read()),
  answer(calls.saveShop, ({ body }) => shop.save(body.revision, body.equipment)),
];
