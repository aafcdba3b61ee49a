import {
  countOfPlace,
  countOfStep,
  deviceSchema,
  MOST_DEVICES,
  sayNotNow,
  tellsSteps,
  whyNotTurn,
  type Device,
  type MotorDevice,
} from '../../core/devices/index.ts';
import type { Run } from '../../core/run/index.ts';
import type { AnswerOf, BodyOf, Calls, LiveDevice } from '../../core/wire/index.ts';
import { DeviceRow } from '../entities/index.ts';
import { notFound, refuse } from '../problems.ts';
import type { RunService } from '../services/index.ts';
import type { Store } from '../store.ts';
import { MotorStation, type Watch } from './motorStation.ts';
import { ReadoutStation, ToolStation } from './readers.ts';
import type { Station, StationGround } from './station.ts';
import { listPorts, openWire, type OpenWire } from './wires.ts';

type Turn = BodyOf<Calls['turnMotor']>;
type Stands = BodyOf<Calls['motorStands']>;
type Place = Extract<Turn['to'], { of: 'run' }>;
/** Degrees of a table with a step each, for trying a motor out. */
const TRIAL_STEPS = '144000';

interface DeviceGround {
  readonly store: Store;
  readonly runs: Pick<RunService, 'read'>;
  readonly open?: OpenWire;
  readonly now?: () => number;
}

/** The shop’s devices on their lines, and who hears of them. Nothing of it holds up counting by hand. */
export class DeviceService {
  private readonly store: Store;
  private readonly runs: DeviceGround['runs'];
  private readonly ground: StationGround;
  private readonly stations = new Map<string, Station>();
  private readonly hearers = new Set<() => void>();
  /** Where readings go: the screen on which a field was touched last. */
  private readingsTo: string | null = null;
  /** The run that was asked for last: frozen, it never changes. */
  private known: Run | null = null;

  constructor({ store, runs, open = openWire, now = () => performance.now() }: DeviceGround) {
    this.store = store;
    this.runs = runs;
    this.ground = { open, now, changed: () => this.tell() };
  }

  /** Goes onto the line of every device that is set up, and not on it yet. */
  async begin(): Promise<void> {
    for (const { document } of await this.store.em.fork().find(DeviceRow, {}, { orderBy: { id: 'asc' } })) {
      const read = deviceSchema.safeParse(JSON.parse(document));
      // one of a later version rests as it is
      if (read.success && !this.stations.has(read.data.id)) this.put(read.data);
    }
  }

  private put(device: Device): void {
    this.stations.get(device.id)?.close();
    const station = this.stationOf(device);
    this.stations.set(device.id, station);
    station.begin();
    this.tell();
  }

  private stationOf(device: Device): Station {
    switch (device.kind) {
      case 'motor':
        return new MotorStation(device, this.ground);
      case 'readout':
        return new ReadoutStation(device, this.ground);
      case 'tool':
        return new ToolStation(device, this.ground, () => this.readingsTo);
    }
  }

  list(): AnswerOf<Calls['listDevices']> {
    const devices = [...this.stations.values()].map(({ device }) => device);
    return { devices: devices.sort((a, b) => a.name.localeCompare(b.name) || (a.id < b.id ? -1 : 1)) };
  }

  ports = async (): Promise<AnswerOf<Calls['listPorts']>> => ({ ports: [...(await listPorts())] });

  async save(id: string, device: Device): Promise<AnswerOf<Calls['listDevices']>> {
    if (device.id !== id) throw refuse(422, 'device-not', device.id, { what: `id of ${id}` });
    if (!this.stations.has(id) && this.stations.size >= MOST_DEVICES)
      throw refuse(422, 'devices-many', String(MOST_DEVICES));
    const before = this.stations.get(id);
    if (before instanceof MotorStation && before.live.motor?.turning)
      throw refuse(409, 'device-busy', before.device.name);
    await this.store.em.fork().upsert(DeviceRow, { id, document: JSON.stringify(device) });
    this.put(device);
    return this.list();
  }

  async remove(id: string): Promise<AnswerOf<Calls['listDevices']>> {
    const station = this.stations.get(id);
    if (!station) throw notFound('device', id);
    await this.store.em.fork().nativeDelete(DeviceRow, { id });
    station.close();
    this.stations.delete(id);
    this.tell();
    return this.list();
  }

  private motor(id: string): MotorStation {
    const station = this.stations.get(id);
    if (!station) throw notFound('device', id);
    if (!(station instanceof MotorStation))
      throw refuse(422, 'device-not', station.device.name, { what: 'motor' });
    return station;
  }

  private async runOf(id: string): Promise<Run> {
    if (this.known?.id !== id) this.known = (await this.runs.read(id)).run;
    return this.known;
  }

  /** Where a place of a run lies in the motor’s own count. */
  private async countOf(motor: MotorDevice, { runId, round, index, closing }: Place) {
    const run = await this.runOf(runId);
    if (run.move.method !== 'stepper') throw refuse(422, 'run-not-by-motor', run.gear);
    const { stepsPerTurn } = run.move;
    if (!tellsSteps(motor, stepsPerTurn)) throw refuse(422, 'device-coarse', motor.name);
    const cut = run.cuts.find((each) => each.round === round && each.index === index);
    const landing = closing ? run.closing : cut?.landing;
    if (landing?.on !== 'steps') throw notFound('place', `${round}/${index}`);
    return {
      run,
      steps: landing.steps,
      count: countOfPlace(motor, landing.steps, stepsPerTurn),
      step: countOfStep(motor, stepsPerTurn),
    };
  }

  /** What watches a motor while it turns the work of a run. */
  private watchOf({ watchedBy }: MotorDevice, { id, safe }: Run): Watch {
    return () => {
      const station = watchedBy === null ? undefined : this.stations.get(watchedBy);
      if (watchedBy === null || !station?.device.on) return { readout: null, safe };
      const readout = station instanceof ReadoutStation ? station.readingFor(id) : null;
      return { readout: readout ?? { travel: null, depth: null, age: Infinity }, safe };
    };
  }

  /** @throws Refused 409 while anything forbids it, with the reason */
  async turn(id: string, { move, screen, to }: Turn): Promise<AnswerOf<Calls['turnMotor']>> {
    const station = this.motor(id);
    const { device } = station;
    const place =
      to.of === 'run'
        ? await this.countOf(device, to)
        : {
            ...{ run: null, steps: null, step: countOfStep(device, TRIAL_STEPS) },
            count: (to.degrees / 360) * device.perTurn * (device.reversed ? -1 : 1),
          };
    if (station.heldBy !== null && station.heldBy !== screen) throw refuse(409, 'device-held', device.name);
    // its 0 is that of one blank: on the next it says nothing
    if (station.zeroOf !== (place.run?.id ?? null)) throw refuse(409, 'device-doubt', device.name);
    const watch: Watch = place.run ? this.watchOf(device, place.run) : () => ({ readout: null, safe: null });
    const why = whyNotTurn({ ...watch(), saidFree: true, heldAgo: 0 });
    if (why) throw refuse(409, 'motor-not-now', device.name, { what: sayNotNow(why) });
    const said = station.turn({ id: move, to: place.count, step: place.step, screen, watch });
    switch (said.answer) {
      case 'sent':
        return { answer: 'sent', outcome: null, steps: place.steps };
      case 'known':
        return { answer: 'known', outcome: said.outcome, steps: place.steps };
      case 'refused':
        throw refuse(409, `device-${said.why}`, device.name);
    }
  }

  hold = (id: string, move: string) => ({ held: this.motor(id).hold(move) });

  stop(id: string) {
    this.motor(id).stop('person');
    return { stopped: true };
  }

  async stands(id: string, { screen, at }: Stands) {
    const station = this.motor(id);
    const count = at.of === 'zero' ? 0 : (await this.countOf(station.device, at)).count;
    if (!station.isHere) throw refuse(409, 'device-away', station.device.name);
    if (!station.stands(count, { screen, run: at.runId }))
      throw refuse(409, 'device-busy', station.device.name);
    return { said: true };
  }

  zero(id: string, { use, reads, runId }: BodyOf<Calls['zeroReadout']>) {
    const station = this.stations.get(id);
    if (!station) throw notFound('device', id);
    if (!(station instanceof ReadoutStation))
      throw refuse(422, 'device-not', station.device.name, { what: 'readout' });
    if (!station.takeZero(use, reads, runId)) throw refuse(409, 'device-silent', station.device.name);
    return { taken: true };
  }

  takeReadings(screen: string) {
    this.readingsTo = screen;
    return { taken: true };
  }

  get live(): readonly LiveDevice[] {
    return [...this.stations.values()].map(({ live }) => live);
  }

  /** Called at each change. @returns what ends that */
  watch(changed: () => void): () => void {
    this.hearers.add(changed);
    return () => this.hearers.delete(changed);
  }
  private tell(): void {
    for (const changed of this.hearers) changed();
  }

  close(): void {
    for (const station of this.stations.values()) station.close();
    this.stations.clear();
  }
}
