import { StandIns, STAND_IN_PORT } from './standIns.ts';

const port = Number(process.env['STAND_IN_PORT'] ?? STAND_IN_PORT);
// the pages rest beside the sources: dist/node/stand-ins → the project’s root
// the demo’s motor has a belt of 3 to 1 before the worm
const standIns = new StandIns(new URL('../../../stand-ins/pages/', import.meta.url), {
  ...{ perTurn: 360, stepsPerTurn: 432_000, pulses: 90 },
});
try {
  await standIns.listen(port);
  console.log(
    `Stand-ins: http://127.0.0.1:${port}. Lines: motor ${port + 1}, readout ${port + 2}, indicator ${port + 3}.`,
  );
} catch (error) {
  console.error(`The stand-ins cannot start: ${error instanceof Error ? error.message : String(error)}`);
  process.exit(1);
}
for (const signal of ['SIGINT', 'SIGTERM'] as const) process.on(signal, () => process.exit(0));
// a signal to npm does not reach its grandchild: stop when the parent is gone
const parent = process.ppid;
if (process.env['VUELTA_WATCH_PARENT'])
  setInterval(() => process.ppid !== parent && process.exit(0), 500).unref();
