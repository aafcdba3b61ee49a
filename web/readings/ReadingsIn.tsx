import { useEffect, useRef } from 'react';
import type { ToolDevice } from '../../core/devices/index.ts';
import type { LiveDevice } from '../../core/wire/index.ts';
import { SCREEN, useListening, useLive } from '../devices/index.ts';
import { goOn, MEASURE_BOX } from '../fields/index.ts';
import { api, useDevices } from '../state/index.ts';

/** Again no sooner, ms: who goes from field to field asks once. */
const ASKED_EVERY = 2000;

const measureBox = (target: EventTarget | null): HTMLInputElement | null =>
  target instanceof HTMLInputElement && target.matches(MEASURE_BOX) ? target : null;

/** As the tool said it, in its own unit: `12.34 mm`. */
export function readingText({ lastLine, tool }: LiveDevice, { unit: own }: Pick<ToolDevice, 'unit'>): string {
  const unit = /in\b|"/i.test(lastLine) ? 'in' : /mm/i.test(lastLine) ? 'mm' : own;
  const mm = tool?.reads ?? 0;
  return unit === 'in' ? `${Number((mm / 25.4).toFixed(5))} in` : `${Number(mm.toFixed(4))} mm`;
}

/** Writes into a box as a hand does, so that whoever listens to it hears, and by which tool. */
function writeInto(box: HTMLInputElement, text: string, tool: string): void {
  const { set } = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')!;
  set!.call(box, text);
  box.dataset['tool'] = tool;
  box.dispatchEvent(new Event('input', { bubbles: true }));
  delete box.dataset['tool'];
}

/**
 * A press of a tool’s button goes into the field that has the focus, and on to the next. Of several screens
 * it is the one on which a field was touched last.
 */
export function ReadingsIn() {
  const devices = useDevices();
  const tools = devices.filter((device): device is ToolDevice => device.kind === 'tool' && device.on);
  useListening(tools.length > 0);
  const live = useLive((all) => all.devices);
  const seen = useRef(new Map<string, number>());
  useEffect(() => {
    let asked = -Infinity;
    const take = ({ target }: { readonly target: EventTarget | null }) => {
      if (!measureBox(target) || performance.now() - asked < ASKED_EVERY) return;
      asked = performance.now();
      void api.takeReadings(SCREEN).catch(() => null);
    };
    take({ target: document.activeElement });
    document.addEventListener('focusin', take);
    return () => document.removeEventListener('focusin', take);
  }, []);
  useEffect(() => {
    for (const each of live) {
      const device = tools.find(({ id }) => id === each.id);
      if (!device || !each.tool) continue;
      const before = seen.current.get(each.id);
      seen.current.set(each.id, each.tool.presses);
      // what was pressed before this screen listened is no reading of this field
      if (before === undefined || each.tool.presses <= before || each.tool.screen !== SCREEN) continue;
      const box = measureBox(document.activeElement);
      if (!box) continue;
      writeInto(box, readingText(each, device), device.name);
      goOn(box);
    }
  });
  return null;
}
