import { readFileSync } from 'node:fs';
import { createServer, type IncomingMessage, type Server } from 'node:http';
import { z } from 'zod';
import { Line } from './line.ts';
import { MotorModel, SAMPLE_MOTOR, type MotorSettings } from './motorModel.ts';
import { ReadoutModel, ToolModel } from './readoutModel.ts';

/** Where they are, from the first port on: the pages, then each one’s line. */
export const STAND_IN_PORT = 4820;
/** A readout says this often where it stands, ms. */
const SAYS_EVERY = 50;
const TURNS_EVERY = 10;
/** A knob turned by a page: no more than this, bytes. */
const MOST = 4096;

const num = (least: number, most: number) => z.number().min(least).max(most);
const knobsSchema = z.strictObject({
  motor: z
    .strictObject({
      missSteps: num(0, 100_000),
      stalls: z.boolean(),
      speed: num(0.01, 10),
      reversed: z.boolean(),
      scale: num(-0.5, 0.5),
      late: num(0, 10_000),
      silent: z.boolean(),
      garbage: z.boolean(),
    })
    .partial()
    .optional(),
  readout: z
    .strictObject({
      noise: num(0, 50),
      scale: num(-0.5, 0.5),
      reversed: z.boolean(),
      silent: z.boolean(),
      garbage: z.boolean(),
      inches: z.boolean(),
    })
    .partial()
    .optional(),
  tool: z
    .strictObject({
      scale: num(-0.5, 0.5),
      reversed: z.boolean(),
      battery: z.enum(['good', 'low', 'empty']),
      garbage: z.boolean(),
      inches: z.boolean(),
    })
    .partial()
    .optional(),
  /** Where the readout’s axes are moved to, mm. */
  axes: z
    .strictObject({ X: num(-2000, 2000), Y: num(-2000, 2000), Z: num(-2000, 2000) })
    .partial()
    .optional(),
  reads: num(-2000, 2000).optional(),
  /** The tool’s data button. */
  press: z.literal(true).optional(),
  /** The motor’s controller is switched off and on. */
  restart: z.literal(true).optional(),
  /** Cables in or pulled. */
  cable: z.strictObject({ motor: z.boolean(), readout: z.boolean(), tool: z.boolean() }).partial().optional(),
});
type Knobs = z.infer<typeof knobsSchema>;

/** The three simulated devices, each on its own line, and the pages that show them. */
export class StandIns {
  readonly motor: MotorModel;
  readonly readout = new ReadoutModel();
  readonly tool = new ToolModel();
  private readonly lines: { readonly motor: Line; readonly readout: Line; readonly tool: Line };
  private readonly pages: Server;
  private readonly timers: NodeJS.Timeout[] = [];
  private readonly pagesFolder: URL;
  private readonly settings: MotorSettings;
  private sent = '';

  /** @param pagesFolder where the pages rest */
  constructor(pagesFolder: URL, settings: MotorSettings = SAMPLE_MOTOR) {
    this.settings = settings;
    this.motor = new MotorModel(settings);
    this.pagesFolder = pagesFolder;
    this.lines = {
      motor: new Line((text, answer) => {
        this.motor.advance(performance.now());
        const said = this.motor.hear(text);
        const { late } = this.motor.knobs;
        if (late > 0) setTimeout(() => answer(said), late).unref();
        else answer(said);
      }),
      readout: new Line(),
      tool: new Line(),
    };
    this.pages = createServer((request, response) => {
      void this.answer(request).then(({ status, type, body }) =>
        response.writeHead(status, { 'content-type': type, 'cache-control': 'no-store' }).end(body),
      );
    });
  }

  /** @param port of the pages; the lines follow it @throws where one of them is taken */
  async listen(port: number): Promise<void> {
    await this.lines.motor.listen(port + 1);
    await this.lines.readout.listen(port + 2);
    await this.lines.tool.listen(port + 3);
    await new Promise<void>((resolve, reject) => {
      this.pages.once('error', reject);
      this.pages.listen(port, '127.0.0.1', () => resolve());
    });
    this.timers.push(
      setInterval(() => this.motor.advance(performance.now()), TURNS_EVERY),
      setInterval(() => this.lines.readout.say(this.readout.say(Math.random())), SAYS_EVERY),
    );
  }

  async close(): Promise<void> {
    for (const timer of this.timers) clearInterval(timer);
    await Promise.all(Object.values(this.lines).map((line) => line.close()));
    this.pages.closeAllConnections();
    await new Promise<void>((resolve) => this.pages.close(() => resolve()));
  }

  /** Turns knobs, moves what is moved, presses what is pressed. */
  turn(knobs: Knobs): void {
    const { motor, readout, tool, axes, reads, press, restart, cable } = knobs;
    this.motor.knobs = { ...this.motor.knobs, ...defined(motor) };
    this.readout.knobs = { ...this.readout.knobs, ...defined(readout) };
    this.tool.knobs = { ...this.tool.knobs, ...defined(tool) };
    Object.assign(this.readout.at, defined(axes));
    if (reads !== undefined) this.tool.reads = reads;
    if (restart) this.lines.motor.say(this.motor.restart());
    for (const [which, whole] of Object.entries(cable ?? {}))
      if (whole !== undefined) this.lines[which as keyof typeof this.lines].pull(whole);
    if (press) {
      this.sent = this.tool.press();
      this.lines.tool.say(this.sent);
    }
  }

  /** As the pages show it. */
  get seen() {
    const cable = (which: keyof typeof this.lines) => this.lines[which].isWhole;
    return {
      motor: {
        ...{ count: this.motor.count, truly: this.motor.truly, turning: this.motor.turning },
        ...{ knobs: this.motor.knobs, settings: this.settings, cable: cable('motor') },
      },
      readout: { at: this.readout.at, knobs: this.readout.knobs, cable: cable('readout') },
      tool: { reads: this.tool.reads, knobs: this.tool.knobs, cable: cable('tool'), sent: this.sent.trim() },
    };
  }

  private async answer(request: IncomingMessage): Promise<Answer> {
    const { pathname } = new URL(request.url ?? '/', 'http://localhost');
    if (request.method === 'POST' && pathname === '/knobs') {
      const read = knobsSchema.safeParse(parsed(await bodyOf(request)));
      if (!read.success) return json(422, { wrong: read.error.issues.map(({ message }) => message) });
      this.turn(read.data);
      return json(200, this.seen);
    }
    if (pathname === '/seen') return json(200, this.seen);
    const file = FILES[pathname];
    if (!file) return { status: 404, type: 'text/plain; charset=utf-8', body: 'There is no such page.' };
    return { status: 200, type: file[1], body: readFileSync(new URL(file[0], this.pagesFolder)) };
  }
}

interface Answer {
  readonly status: number;
  readonly type: string;
  readonly body: string | Buffer;
}
const json = (status: number, what: object): Answer => ({
  ...{ status, type: 'application/json', body: JSON.stringify(what) },
});

const HTML = 'text/html; charset=utf-8';
const FILES: Readonly<Record<string, readonly [file: string, type: string]>> = {
  '/': ['index.html', HTML],
  '/motor': ['motor.html', HTML],
  '/readout': ['readout.html', HTML],
  '/tool': ['tool.html', HTML],
  '/standIns.css': ['standIns.css', 'text/css; charset=utf-8'],
  '/standIns.js': ['standIns.js', 'text/javascript; charset=utf-8'],
};

async function bodyOf(request: IncomingMessage): Promise<string> {
  let text = '';
  for await (const chunk of request) {
    text += String(chunk);
    if (text.length > MOST) return '';
  }
  return text;
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

/** Without what is not given. */
const defined = <T extends object>(
  some: T | undefined,
): Partial<{ [K in keyof T]: Exclude<T[K], undefined> }> =>
  Object.fromEntries(Object.entries(some ?? {}).filter(([, value]) => value !== undefined)) as never;
