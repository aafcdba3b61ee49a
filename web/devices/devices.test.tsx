/** @jest-environment jsdom */
import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import type { MotorDevice, ReadoutDevice } from '../../core/devices/index.ts';
import { stretchOf, type Prompt } from '../../core/prompts/index.ts';
import { foldRun, type Run, type RunAct, type RunEvent } from '../../core/run/index.ts';
import { newDivideJob, withPart } from '../../core/job/index.ts';
import { isSpaced } from '../../core/kinds/index.ts';
import { begin, freeze, shop, wheelCard } from '../../core/sampleRuns.ts';
import { STOCK_ROTARY } from '../../core/shop/index.ts';
import { measure } from '../../core/units/index.ts';
import type { LiveDevice } from '../../core/wire/index.ts';

await import('../jsdom.ts');
const { act: settle, cleanup, render, screen } = await import('@testing-library/react');
const { default: userEvent } = await import('@testing-library/user-event');
const { SCREEN, useLive } = await import('./live.ts');
const { motorPlace, MotorTurn } = await import('./MotorTurn.tsx');
const { MillMotor } = await import('./MillDevices.tsx');
const { Readout } = await import('./Readout.tsx');
const { CentreByReadout } = await import('./CentreByReadout.tsx');
const { HoleByHole } = await import('./HoleByHole.tsx');
const { QueryClientProvider } = await import('@tanstack/react-query');
const { keys, queryClient } = await import('../state/index.ts');

const link = { via: 'tcp', host: 'localhost', port: 1 } as const;
const readout: ReadoutDevice = {
  ...{ id: 'r', name: 'Readout', kind: 'readout', on: true, link, unit: 'mm', decimal: '.' },
  axes: [
    { letter: 'X', use: 'travel', reversed: false },
    { letter: 'Z', use: 'depth', reversed: false },
  ],
};
const motor: MotorDevice = {
  ...{ id: 'm', name: 'Table motor', kind: 'motor', on: true, link, letter: 'A', perTurn: 360, speed: 720 },
  ...{ reversed: false, takeUp: 0.5, pulses: 90, hold: 'press', watchedBy: null },
};
const base = {
  run: 'r',
  line: 'here',
  why: '',
  lastLine: '',
  motor: null,
  readout: null,
  tool: null,
} as const;

const shows = (travel: number | null, depth: number | null): LiveDevice => ({
  ...{ ...base, id: 'r' },
  readout: [
    { use: 'travel', letter: 'X', shows: 100, reads: travel },
    { use: 'depth', letter: 'Z', shows: 7, reads: depth },
  ],
});
const stands = (change: Partial<NonNullable<LiveDevice['motor']>> = {}): LiveDevice => ({
  ...{ ...base, id: 'm' },
  motor: { count: 0, turning: false, move: null, screen: SCREEN, doubt: null, ended: [], ...change },
});
const tell = (...devices: LiveDevice[]) => settle(() => useLive.setState({ devices, told: true }));

// a page of the tests has no pointers
Element.prototype.setPointerCapture = () => {};
// nor a server that tells it anything
globalThis.EventSource = class {
  close(): void {}
} as unknown as typeof EventSource;

let asked: { where: string; body: Record<string, unknown> }[] = [];
beforeEach(() => {
  asked = [];
  globalThis.fetch = jest.fn<typeof fetch>((where, init) => {
    asked.push({ where: String(where), body: JSON.parse(String(init?.body)) as Record<string, unknown> });
    const answer = { answer: 'sent', outcome: null, steps: 2717, taken: true };
    return Promise.resolve({ ok: true, status: 200, json: () => Promise.resolve(answer) } as Response);
  });
});
afterEach(() => {
  cleanup();
  useLive.setState({ devices: [], told: false });
});

/** 14 teeth of module 2: 4.5 mm deep, first touch √(4.5·55.5) = 15.80 mm before the face of 10. */
const run = begin(wheelCard());
const from = (prompts: readonly Prompt[], ...kinds: Prompt['do'][]) =>
  prompts.filter((prompt) => kinds.includes(prompt.do));
const first = stretchOf(run, { last: null, next: run.cuts[0]! });

test('a zero is asked for where the prompt asks for one, at the reading that the prompt gives', async () => {
  const person = userEvent.setup();
  render(<Readout run={run} readout={readout} watches={false} now={from(first, 'touch')} />);
  tell(shows(null, null));
  expect(screen.getByText('No zero at the touch yet')).toBeTruthy();
  const [, depth] = screen.getAllByRole('button');
  expect(depth!.className).toContain('is-asked');
  await person.click(depth!);
  expect(asked.at(-1)).toEqual({
    where: '/api/devices/r/zero',
    body: { use: 'depth', reads: 0, runId: 'r' },
  });
  cleanup();
  const reads: Prompt = { do: 'first-touch', reads: 1.2, key: 'first-touch', stop: false, learner: false };
  render(<Readout run={run} readout={readout} watches={false} now={[reads]} />);
  tell(shows(null, 2));
  await person.click(screen.getByRole('button', { name: '1.20 mm here' }));
  expect(asked.at(-1)!.body).toEqual({ use: 'travel', reads: 1.2, runId: 'r' });
});

test('how much more to the depth and through the cut, by the run’s own figures; clear or in the work', () => {
  const { container } = render(
    <Readout run={run} readout={readout} watches={false} now={from(first, 'depth', 'cut')} />,
  );
  const words = () => container.textContent!.replace(/\s+/g, ' ');
  tell(shows(-3, 2.19));
  // 4.5 − 2.19, and 15.8035 + 10 − (−3)
  expect(words()).toContain('2.310 mm more');
  expect(words()).toContain('28.803 mm more');
  expect(words()).toContain('✓ Clear');
  tell(shows(0, 4.52));
  expect(words()).toContain('0.020 mm too far');
  expect(words()).toContain('In the work');
  tell(shows(25.804, 4.5));
  expect(words()).toContain('✓ there');
});

const byMotor = freeze({ head: STOCK_ROTARY, count: 53 }, 'stepper');
const place = (k: number) => motorPlace(byMotor, byMotor.cuts[k - 1]!, false)!;

test('the table is sent to the place by name; missed steps are told in the work’s own figures, and a person says where', async () => {
  const person = userEvent.setup();
  const acts: RunAct[] = [];
  const outside = { ...byMotor, outside: 48.5 };
  render(
    <MotorTurn
      run={outside}
      motor={motor}
      watch={null}
      from={place(1)}
      to={place(2)}
      act={(...some) => acts.push(...some)}
    />,
  );
  tell(stands());
  const button = screen.getByRole('button', { name: /Hold to turn to mark|Hold to turn to work hole 2/ });
  await person.pointer({ keys: '[MouseLeft>]', target: button });
  expect(asked[0]!.where).toBe('/api/devices/m/turn');
  expect(asked[0]!.body).toMatchObject({
    free: true,
    to: { of: 'run', runId: 'r', round: 1, index: 2, closing: false },
  });
  const move = String(asked[0]!.body['move']);
  await person.pointer({ keys: '[/MouseLeft]', target: button });
  expect(asked.some(({ where }) => where === '/api/devices/m/stop')).toBe(true);
  // let go, nothing says any more that it is held
  const holds = () => asked.filter(({ where }) => where.endsWith('/hold')).length;
  const heldBefore = holds();
  expect(heldBefore).toBeGreaterThan(0);
  await new Promise((resolve) => setTimeout(resolve, 300));
  expect(holds()).toBe(heldBefore);
  // 2717 of 144 000 steps: 6.7925°
  tell(stands({ count: 6.7925, ended: [{ id: move, how: 'there', rest: 6.7925, why: null }] }));
  expect(acts).toEqual([
    { kind: 'sent', round: 1, index: 2, steps: 2717, how: 'there', by: 'Table motor', rest: 2717 },
  ]);
  expect(screen.getByText(/2717 steps\. Lock it before the cut\./)).toBeTruthy();
  tell(stands({ count: 6.7925, doubt: { why: 'steps-missed', by: 0.0075 } }));
  expect(
    screen.getByText(/3 steps off: steps were missed\..*27″ of the work, 0\.003 mm along the outside/),
  ).toBeTruthy();
  await person.click(screen.getByRole('button', { name: /It stands at .* 1$/ }));
  expect(asked.at(-1)).toMatchObject({
    where: '/api/devices/m/stands',
    body: { at: { of: 'run', round: 1, index: 1, closing: false } },
  });
});

test('a motor that a readout watches says beforehand why it would not turn; the server is asked all the same', async () => {
  const person = userEvent.setup();
  const watched = { ...byMotor, safe: run.safe };
  render(<MotorTurn run={watched} motor={motor} watch="r" from={place(1)} to={place(2)} act={() => {}} />);
  const button = () => screen.getByRole('button', { name: /Hold to turn/ });
  for (const [readout, words] of [
    [shows(null, null), /Not yet: the readout has no zero at the touch yet/],
    // at the depth, 3 past the first touch
    [shows(3, 4.5), /Not yet: the readout says that the cutter is in the work$/],
    [{ ...shows(-9, 4.5), line: 'away' as const }, /Not yet: the readout is silent/],
    // zeros of the blank before
    [{ ...shows(-9, 4.5), run: 'before' }, /Not yet: the readout has no zero/],
    [shows(-9, 4.5), /spindle and table free, cutter clear, hands away$/],
    // drawn out, wherever the table is
    [shows(3, -2), /spindle and table free, cutter clear, hands away$/],
  ] as const) {
    tell(stands(), readout);
    expect(button().textContent).toMatch(words);
    expect(button().className.includes('is-not-yet')).toBe(/^Not/.test(words.source));
  }
  tell(stands(), shows(3, 4.5));
  await person.pointer({ keys: '[MouseLeft>]', target: button() });
  expect(asked[0]!.where).toBe('/api/devices/m/turn');
});

test('with the zeros and the 0 of another run’s work nothing is clear, and a person is asked where it stands', () => {
  const { container } = render(<Readout run={run} readout={readout} watches now={[]} />);
  tell({ ...shows(-30, 4), run: 'before' });
  expect(container.textContent).toContain('No zero at the touch yet');
  expect(container.textContent).not.toContain('30.000');
  cleanup();
  render(<MotorTurn run={byMotor} motor={motor} watch={null} from={place(1)} to={place(2)} act={() => {}} />);
  tell({ ...stands({ count: 360 }), run: 'before' });
  expect(screen.getByText(/Nobody has said yet where the work stands/)).toBeTruthy();
  expect(screen.queryByRole('button', { name: /Hold to turn/ })).toBeNull();
});

test('turned from another screen it is only seen; away, one turns by hand', () => {
  render(<MotorTurn run={byMotor} motor={motor} watch={null} from={place(1)} to={place(2)} act={() => {}} />);
  tell(stands({ screen: 'another' }));
  expect(screen.queryByRole('button', { name: /Hold to turn/ })).toBeNull();
  expect(screen.getByText(/was turned from another screen/)).toBeTruthy();
  tell({ ...base, id: 'm', line: 'away', why: 'no cable' });
  expect(screen.getByText(/not on its line \(no cable\)\. Turn by hand meanwhile/)).toBeTruthy();
});

test('let go before the server has answered: it is stopped once more when the move is known', async () => {
  const person = userEvent.setup();
  let answer = (_: Response) => {};
  const later = new Promise<Response>((resolve) => (answer = resolve));
  const quick = globalThis.fetch;
  globalThis.fetch = ((where: string, init) => {
    void quick(where, init);
    return where.endsWith('/turn') ? later : Promise.resolve({ ok: true, json: () => Promise.resolve({}) });
  }) as typeof fetch;
  render(<MotorTurn run={byMotor} motor={motor} watch={null} from={place(1)} to={place(2)} act={() => {}} />);
  tell(stands());
  const button = screen.getByRole('button', { name: /Hold to turn/ });
  await person.pointer([{ keys: '[MouseLeft>]', target: button }, { keys: '[/MouseLeft]' }]);
  const stops = () => asked.filter(({ where }) => where.endsWith('/stop')).length;
  expect(stops()).toBe(1);
  const body = { answer: 'sent', outcome: null, steps: 2717 };
  answer({ ok: true, status: 200, json: () => Promise.resolve(body) } as Response);
  await new Promise((resolve) => setTimeout(resolve, 200));
  expect(stops()).toBe(2);
  expect(asked.filter(({ where }) => where.endsWith('/hold'))).toEqual([]);
});

test('a ring is drilled hole by hole: how much more in X and Y, from the middle', async () => {
  const person = userEvent.setup();
  const across: ReadoutDevice = {
    ...readout,
    axes: [readout.axes[0]!, { letter: 'Y', use: 'cross', reversed: false }],
  };
  queryClient.setQueryData(keys.devices, [across]);
  const at = (x: number | null, y: number | null): LiveDevice => ({
    ...{ ...base, id: 'r', run: null },
    readout: [
      { use: 'travel', letter: 'X', shows: 5, reads: x },
      { use: 'cross', letter: 'Y', shows: 6, reads: y },
    ],
  });
  // three holes on a circle of 60: the top, then 120° on, clockwise
  const holes = [
    { hole: 0, x: 0, y: 30 },
    { hole: 1, x: 25.981, y: -15 },
  ];
  const { container } = render(
    <QueryClientProvider client={queryClient}>
      <HoleByHole holes={holes} units="mm" />
    </QueryClientProvider>,
  );
  tell(at(null, null));
  await person.click(screen.getByRole('button', { name: 'The middle is here' }));
  expect(asked.map(({ body }) => body)).toEqual([
    { use: 'travel', reads: 0, runId: null },
    { use: 'cross', reads: 0, runId: null },
  ]);
  tell(at(0, 29.9));
  expect(container.textContent).toContain('X0.000 mm✓ there');
  expect(container.textContent).toContain('Y29.900 mm0.100 mm more');
  await person.click(screen.getByRole('button', { name: 'Drilled: the next' }));
  expect(container.textContent).toContain('Hole 1 2 of 2');
  expect(container.textContent).toContain('X0.000 mm25.981 mm more');
  expect(container.textContent).toContain('Y29.900 mm44.900 mm back');
});

test('a rack: the table goes from place to place, to the place itself and not to the nearest mark', async () => {
  const person = userEvent.setup();
  const job = withPart(newDivideJob({ id: 'j', name: 'Rack', units: 'mm', shop }), 'p1', (part) =>
    isSpaced(part)
      ? {
          ...part,
          spacing: {
            ...{ ...part.spacing, by: 'pitch', what: 'teeth', count: measure('10', 'count') },
            ...{ pitch: measure('1.5', 'module'), depth: measure('3.375', 'mm') },
          },
          setup: { ...part.setup, face: measure('12', 'mm'), cutterDiameter: measure('60', 'mm') },
        }
      : part,
  );
  const rack = begin(job, shop);
  const all: ReadoutDevice = {
    ...readout,
    axes: [...readout.axes, { letter: 'Y', use: 'cross', reversed: false }],
  };
  const [first, , third] = rack.cuts;
  const turn = stretchOf(rack, { last: rack.cuts[1]!, next: third! }).filter(
    (prompt) => prompt.do === 'turn',
  );
  const { container } = render(<Readout run={rack} readout={all} watches={false} now={turn} />);
  const at = (x: number | null): LiveDevice => ({
    ...{ ...base, id: 'r' },
    readout: [
      { use: 'travel', letter: 'X', shows: 0, reads: x },
      { use: 'depth', letter: 'Z', shows: 0, reads: 3 },
      { use: 'cross', letter: 'Y', shows: 0, reads: 4 },
    ],
  });
  tell(at(4.712));
  // two pitches of 1.5·π are 9.425
  expect(container.textContent).toContain('table4.712 mm4.713 mm more');
  expect(first!.landing.on).toBe('dial');
  cleanup();
  const begins = from(stretchOf(rack, { last: null, next: first! }), 'register', 'zero');
  render(<Readout run={rack} readout={all} watches={false} now={begins} />);
  tell(at(null));
  await person.click(screen.getByRole('button', { name: '0 here' }));
  expect(asked.at(-1)!.body).toEqual({ use: 'travel', reads: 0, runId: 'r' });
});

/** The motor at the mill, between two cuts of a run. */
function atTheMill(run: Run, last: number, ...motors: MotorDevice[]) {
  queryClient.setQueryData(keys.devices, motors);
  const events = run.cuts.slice(0, last).map((cut, i) => ({
    ...{ id: `e${i}`, runId: run.id, device: 'd', deviceSeq: i + 1, lastSeen: {} },
    ...{ clientTime: '2026-11-25T09:00:00Z', kind: 'done', round: cut.round, index: cut.index },
  })) as RunEvent[];
  const state = foldRun(run, events);
  const now = stretchOf(run, { last: run.cuts[last - 1]!, next: run.cuts[last]! });
  const turns = now.filter((prompt) => prompt.do === 'turn' || prompt.do === 'return');
  render(
    <QueryClientProvider client={queryClient}>
      <MillMotor run={run} state={state} events={events} now={turns} act={() => {}} />
    </QueryClientProvider>,
  );
  return turns;
}

test('of two motors a person says which turns this work; until then neither is sent', async () => {
  const person = userEvent.setup();
  const other: MotorDevice = { ...motor, id: 'm2', name: 'Upright table' };
  atTheMill(byMotor, 3, motor, other);
  tell(stands(), { ...stands(), id: 'm2' });
  expect(screen.queryByRole('button', { name: /Hold to turn/ })).toBeNull();
  await person.click(screen.getByRole('button', { name: 'Upright table turns it' }));
  expect(asked).toEqual([]);
  const button = await screen.findByRole('button', { name: /Hold to turn to .* 4/ });
  await person.pointer([{ keys: '[MouseLeft>]', target: button }, { keys: '[/MouseLeft]' }]);
  expect(
    asked.filter(({ where }) => where.endsWith('/turn')).map(({ where, body }) => [where, body['to']]),
  ).toEqual([['/api/devices/m2/turn', { of: 'run', runId: byMotor.id, round: 1, index: 4, closing: false }]]);
});

test('a part of a turn: after its last mark the motor goes back to the first, by its button', async () => {
  const person = userEvent.setup();
  const arc = freeze({ head: STOCK_ROTARY, count: 5, angle: '9', rounds: 2 }, 'stepper');
  const turns = atTheMill(arc, 5, motor);
  expect(turns.map((prompt) => prompt.do)).toEqual(['return']);
  // four steps of 9° on: it stands at 36°, the motor’s last place
  tell({ ...stands({ count: 36 }), run: arc.id });
  const button = screen.getByRole('button', { name: /Hold to turn to .* 1/ });
  expect(button.textContent).toContain('hands away');
  await person.pointer([{ keys: '[MouseLeft>]', target: button }, { keys: '[/MouseLeft]' }]);
  expect(asked.find(({ where }) => where.endsWith('/turn'))!.body['to']).toEqual({
    ...{ of: 'run', runId: arc.id, round: 2, index: 1, closing: false },
  });
  tell({ ...stands({ count: 0 }), run: arc.id });
  expect(arc.cuts[5]!.landing).toMatchObject({ on: 'steps', steps: 0 });
});

test('a server that began anew knows nothing of the move: the button lets it go by itself', async () => {
  const person = userEvent.setup();
  const quick = globalThis.fetch;
  globalThis.fetch = ((where: string, init) =>
    where.endsWith('/hold')
      ? Promise.resolve({ ok: true, status: 200, json: () => Promise.resolve({ held: false }) } as Response)
      : quick(where, init)) as typeof fetch;
  render(<MotorTurn run={byMotor} motor={motor} watch={null} from={place(1)} to={place(2)} act={() => {}} />);
  tell(stands());
  await person.pointer({
    keys: '[MouseLeft>]',
    target: screen.getByRole('button', { name: /Hold to turn/ }),
  });
  expect(screen.getByRole('button', { name: /Let go to stop/ })).toBeTruthy();
  expect(await screen.findByRole('button', { name: /Hold to turn/ }, { timeout: 4000 })).toBeTruthy();
});

test('to the middle of the work: from the touch on, whichever way it is gone, and not by a run’s own zero', async () => {
  const person = userEvent.setup();
  const across: ReadoutDevice = {
    ...readout,
    axes: [...readout.axes, { letter: 'Y', use: 'cross', reversed: false }],
  };
  queryClient.setQueryData(keys.devices, [across]);
  const at = (reads: number | null, run: string | null = null): LiveDevice =>
    ({
      ...{ ...base, id: 'r', run },
      readout: [{ use: 'cross', letter: 'Y', shows: 8, reads }],
    }) as LiveDevice;
  // a blank of 67.5, a cutter of 5 and a paper of 0.03: 33.75 + 2.5 + 0.03
  const { container } = render(
    <QueryClientProvider client={queryClient}>
      <CentreByReadout move={36.28} units="mm" />
    </QueryClientProvider>,
  );
  tell(at(4, 'another'));
  expect(container.textContent).toBe(
    'It touches: Y is 0 hereA run has taken its zeros by Readout: they end with one taken here.',
  );
  await person.click(screen.getByRole('button', { name: 'It touches: Y is 0 here' }));
  expect(asked.at(-1)).toMatchObject({ body: { use: 'cross', reads: 0, runId: null } });
  for (const [reads, says] of [
    [0, '36.280 mm more, the same way'],
    [12.5, '23.780 mm more, the same way'],
    [-12.5, '23.780 mm more, the same way'],
    [-36.283, '✓ the middle: lock it'],
    [36.5, '0.220 mm too far: back past it, and up again'],
  ] as const) {
    tell(at(reads));
    expect(container.textContent).toContain(says);
    expect(container.textContent).not.toContain('A run has taken');
  }
});
