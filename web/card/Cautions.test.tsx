/** @jest-environment jsdom */
import '../jsdom.ts';
import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import type { Caution } from '../../core/station/index.ts';
import { usePreferences } from '../state/index.ts';
import { Cautions } from './Cautions.tsx';

const CLEAR: Caution = {
  code: 'index-clear',
  when: 'Before indexing',
  text: 'draw back 31.4 mm. Turned any sooner, the work gouges itself on the cutter.',
};
const HANDS: Caution = { code: 'hands-clear', when: 'At the cutter', text: 'brush, never fingers or rags.' };
const WORM: Caution = {
  code: 'worm-out',
  when: 'Before pinning',
  text: 'never both engaged: the pin breaks.',
};

beforeEach(() => {
  jest.useFakeTimers();
  usePreferences.setState({ cautionsRead: [] });
});
afterEach(() => {
  cleanup();
  jest.useRealTimers();
});
const stay = (ms: number) => act(() => jest.advanceTimersByTime(ms));
const reads = () => document.body.textContent;
/** The station is left, and opened another time. */
function comeBack(cautions: readonly Caution[]): void {
  cleanup();
  render(<Cautions cautions={cautions} />);
}

describe('the cautions of a station', () => {
  test('stand in full until they were read, do not fold under the eyes, and are on one line the next time', () => {
    render(<Cautions cautions={[CLEAR, HANDS]} />);
    stay(3000);
    comeBack([CLEAR, HANDS]);
    expect(reads()).toMatch(/gouges itself.*never fingers/);
    stay(4100);
    expect(reads()).toMatch(/gouges itself.*never fingers/);
    comeBack([CLEAR, HANDS]);
    expect(reads()).not.toMatch(/gouges|fingers/);
    const line = screen.getByRole('button');
    expect(line.textContent).toBe('Before indexingAt the cuttercautions, read');
    fireEvent.click(line);
    expect(reads()).toMatch(/gouges itself.*never fingers/);
  });
  test('other words are in full again, other figures are not', () => {
    render(<Cautions cautions={[CLEAR, HANDS]} />);
    stay(4100);
    const farther = { ...CLEAR, text: CLEAR.text.replace('31.4', '29.65') };
    comeBack([farther, { ...HANDS, text: 'a brush, and the spindle stopped.' }]);
    expect(reads()).not.toContain('gouges');
    expect(reads()).toContain('At the cutter: a brush, and the spindle stopped.');
  });
  test('what breaks the machine is never folded', () => {
    render(<Cautions cautions={[WORM, HANDS]} />);
    stay(4100);
    comeBack([WORM, HANDS]);
    expect(reads()).toContain('Before pinning: never both engaged: the pin breaks.');
    expect(reads()).not.toContain('fingers');
  });
});
