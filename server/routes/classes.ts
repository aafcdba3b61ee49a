import { calls } from '../../core/wire/index.ts';
import { isLoopback } from '../gate/index.ts';
import { refuse } from '../problems.ts';
import type { ClassService } from '../services/index.ts';
import { answer, type Route } from './route.ts';

export const classRoutes = (classes: ClassService): Route[] => [
  answer(calls.makeClass, ({ body }) => classes.make(body)),
  answer(calls.listClasses, (_, { req }) => {
    if (!isLoopback(req.socket.remoteAddress ?? '')) throw refuse(403, 'class-here', '');
    return classes.list();
  }),
  answer(calls.readClass, ({ params }) => classes.board(params.key)),
  answer(calls.changeClass, ({ params, body }) => classes.change(params.key, body)),
  answer(calls.deleteClass, ({ params }) => classes.delete(params.key)),
  answer(calls.removeLearner, ({ params }) => classes.remove(params.key, params.number)),
  answer(calls.joinClass, ({ body }) => classes.join(body)),
  answer(calls.readLearner, ({ params }) => classes.stands(params.token)),
  answer(calls.addTry, ({ params, body }) => classes.addTry(params.token, body)),
  answer(calls.tellBench, ({ params, body }) => classes.tellBench(params.token, body)),
  answer(calls.leaveClass, ({ params }) => classes.leave(params.token)),
];
