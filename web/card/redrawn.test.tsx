/** @jest-environment jsdom */
import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { drawnSpurJob } from '../../core/job/index.ts';
import { STOCK_EQUIPMENT } from '../../core/shop/index.ts';
import { drawn } from '../drawn.ts';

// React is loaded after what watches it
await import('../jsdom.ts');
const { cleanup, render, screen, waitFor } = await import('@testing-library/react');
const { QueryClientProvider } = await import('@tanstack/react-query');
const { default: userEvent } = await import('@testing-library/user-event');
const { MemoryRouter, Route, Routes } = await import('react-router');
const { useDraft } = await import('../edits/index.ts');
const { keys, queryClient } = await import('../state/index.ts');
const { CardPage } = await import('./CardPage.tsx');

beforeEach(() => {
  globalThis.fetch = jest.fn<typeof fetch>(() => new Promise(() => {}));
  queryClient.setQueryData(keys.shop, { revision: 1, equipment: STOCK_EQUIPMENT });
});
afterEach(() => {
  cleanup();
  useDraft.getState().close();
  localStorage.clear();
});

const open = (at: string) => {
  const job = drawnSpurJob({ id: 'j', name: 'Wheel', pitch: '1.5', teeth: 62, face: '12', bore: '10' });
  useDraft.getState().open(job, 1);
  render(
    <QueryClientProvider client={queryClient}>
      <MemoryRouter initialEntries={[`/jobs/j/p1/${at}`]}>
        <Routes>
          <Route path="/jobs/:jobId/:partId/:stationId" element={<CardPage />} />
        </Routes>
      </MemoryRouter>
    </QueryClientProvider>,
  );
};

const answers = () => screen.getByRole('navigation', { name: 'Stations' }).textContent;

/** @returns what one key in a field has drawn anew, and how often */
async function drawnBy(label: string, key: string): Promise<ReadonlyMap<string, number>> {
  const field = await screen.findByLabelText(label);
  await userEvent.click(field);
  await waitFor(() => expect(document.querySelector('svg[role="img"]')).not.toBeNull());
  // whatever was on its way has come
  await new Promise((resolve) => setTimeout(resolve, 100));
  drawn.clear();
  await userEvent.keyboard(key);
  await new Promise((resolve) => setTimeout(resolve, 100));
  return new Map(drawn);
}

test('a key in the face width draws that box and the stations whose answers it changes, and no tooth', async () => {
  open('blank');
  await screen.findByLabelText('Face width');
  const before = answers();
  const anew = await drawnBy('Face width', '5');
  // Ø 96 × 12 has become Ø 96 × 125; no other station says another thing
  await waitFor(() => expect(answers()).not.toBe(before));
  expect(answers()).toContain('Ø 96.00 × 125.00');
  expect(anew.get('StationRow')).toBe(1);
  // three boxes stand there, one is typed in; six figures, one of them another
  expect([anew.get('FigureInput'), anew.get('Row')]).toEqual([1, 1]);
  expect(anew.get('GearDrawing')).toBeGreaterThan(0);
  for (const stays of ['Teeth', 'JobName', 'JobMarks', 'JobPictures', 'Pages', 'Cautions'])
    expect([stays, anew.get(stays) ?? 0]).toEqual([stays, 0]);
});

test('a count typed draws every station that follows from it, once', async () => {
  open('gear');
  await screen.findByLabelText('Teeth');
  const anew = await drawnBy('Teeth', '{Backspace}');
  await waitFor(() => expect(answers()).toContain('6 teeth'));
  const rows = screen.getByRole('navigation', { name: 'Stations' }).querySelectorAll('li').length;
  expect(anew.get('StationRow')).toBeGreaterThan(1);
  expect(anew.get('StationRow')).toBeLessThanOrEqual(rows);
  expect([anew.get('FigureInput'), anew.get('JobName') ?? 0]).toEqual([1, 0]);
});
