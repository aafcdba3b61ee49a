import { connect } from 'node:net';
import type { DeviceLink } from '../../core/devices/index.ts';

/** A line to a device, while it is whole. */
export interface Wire {
  write(text: string): void;
  close(): void;
}

/** Who hears what comes over a line. */
export interface Hearer {
  readonly opened: () => void;
  readonly heard: (text: string) => void;
  /** It could not be opened, or broke. @param why in the words of the system */
  readonly lost: (why: string) => void;
}

/** Opens a line; every fault of it is told to who hears, never thrown. */
export type OpenWire = (link: DeviceLink, hearer: Hearer) => Wire;

const OPENS_MS = 4000;

/** Tells of the loss of a line once. */
function once(hearer: Hearer): Hearer {
  let lost = false;
  return {
    ...hearer,
    lost: (why) => {
      if (!lost) hearer.lost(why);
      lost = true;
    },
  };
}

function openTcp({ host, port }: DeviceLink & { via: 'tcp' }, told: Hearer): Wire {
  const hearer = once(told);
  const socket = connect({ host, port });
  socket.setNoDelay(true);
  socket.setTimeout(OPENS_MS, () => socket.destroy(new Error('no answer')));
  socket.once('connect', () => {
    socket.setTimeout(0);
    hearer.opened();
  });
  socket.on('data', (data) => hearer.heard(data.toString('latin1')));
  socket.on('error', ({ message }) => hearer.lost(message));
  socket.on('close', () => hearer.lost('the line was closed'));
  return {
    write: (text) => {
      if (!socket.destroyed) socket.write(text, 'latin1');
    },
    // what was written last, a stop, still goes out
    close: () => socket.destroySoon(),
  };
}

function openSerial({ path, baud }: DeviceLink & { via: 'serial' }, told: Hearer): Wire {
  const hearer = once(told);
  let write: (text: string) => void = () => {};
  let closing = false;
  let close = () => {};
  // a shop without a serial line never loads it
  void import('serialport').then(
    ({ SerialPort }) => {
      if (closing) return;
      const port = new SerialPort({ path, baudRate: baud, autoOpen: false });
      close = () => void (port.isOpen && port.close(() => {}));
      write = (text) => void (port.isOpen && port.write(text, 'latin1'));
      port.on('data', (data: Buffer) => hearer.heard(data.toString('latin1')));
      port.on('error', ({ message }) => hearer.lost(message));
      port.on('close', () => hearer.lost('the port was closed'));
      port.open((fault) => (fault ? hearer.lost(fault.message) : hearer.opened()));
    },
    (fault: unknown) => hearer.lost(fault instanceof Error ? fault.message : String(fault)),
  );
  return {
    write: (text) => write(text),
    close: () => {
      closing = true;
      close();
    },
  };
}

export const openWire: OpenWire = (link, hearer) =>
  link.via === 'tcp' ? openTcp(link, hearer) : openSerial(link, hearer);

/** Serial ports of this machine; none where they cannot be listed. */
export async function listPorts(): Promise<readonly string[]> {
  try {
    const { SerialPort } = await import('serialport');
    return (await SerialPort.list()).map(({ path }) => path).sort();
  } catch {
    return [];
  }
}
