import { useEffect } from 'react';
import { create } from 'zustand';
import type { LiveDevice } from '../../core/wire/index.ts';
import { api, newId } from '../state/index.ts';

/** This screen, as devices know it: another tab is another. */
export const SCREEN = newId();

interface Live {
  readonly devices: readonly LiveDevice[];
  /** Does the server tell? Else what stands here is old. */
  readonly told: boolean;
}

/** How every device stands, as the server tells it. */
export const useLive = create<Live>()(() => ({ devices: [], told: false }));

/** What is told at least this often, ms; silence longer than that is no line. */
const SILENT_MS = 3500;

let listeners = 0;
let source: EventSource | null = null;
let silence: ReturnType<typeof setTimeout> | undefined;

function heard(data: string): void {
  clearTimeout(silence);
  silence = setTimeout(() => useLive.setState({ told: false }), SILENT_MS);
  const { devices } = JSON.parse(data) as Pick<Live, 'devices'>;
  useLive.setState({ devices, told: true });
}

function hangUp(): void {
  source?.close();
  source = null;
  clearTimeout(silence);
  useLive.setState({ devices: [], told: false });
}

/**
 * Listens where somebody looks: a browser has six lines to a server, and tabs that nobody sees would hold
 * them all.
 */
function attend(): void {
  const wanted = listeners > 0 && document.visibilityState === 'visible';
  if (!wanted) return hangUp();
  if (source) return;
  source = new EventSource(api.liveAddress);
  source.onmessage = ({ data }: MessageEvent<string>) => heard(data);
  // it comes again by itself
  source.onerror = () => useLive.setState({ told: false });
}

function listen(): () => void {
  listeners += 1;
  if (listeners === 1) {
    document.addEventListener('visibilitychange', attend);
    window.addEventListener('pageshow', attend);
    window.addEventListener('pagehide', hangUp);
  }
  attend();
  return () => {
    listeners -= 1;
    if (listeners > 0) return;
    document.removeEventListener('visibilitychange', attend);
    window.removeEventListener('pageshow', attend);
    window.removeEventListener('pagehide', hangUp);
    hangUp();
  };
}

/** Listens to the devices while this is shown and there are any. */
export function useListening(on: boolean): void {
  useEffect(() => (on ? listen() : undefined), [on]);
}

/** How one device stands; null before it was told, and while the server does not tell. */
export function useLiveDevice(id: string | null): LiveDevice | null {
  return useLive(({ devices, told }) => (told && devices.find((device) => device.id === id)) || null);
}
