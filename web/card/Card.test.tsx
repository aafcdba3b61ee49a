/** @jest-environment jsdom */
import '../jsdom.ts';
import { QueryClientProvider } from '@tanstack/react-query';
import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { cleanup, render, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter, Route, Routes, useParams } from 'react-router';
import { drawnSpurJob, type Job } from '../../core/job/index.ts';
import { plan } from '../../core/plan/index.ts';
import { STOCK_EQUIPMENT } from '../../core/shop/index.ts';
import type { StationId } from '../../core/station/index.ts';
import { useDraft } from '../edits/index.ts';
import { keys, queryClient } from '../state/index.ts';
import { Card } from './Card.tsx';

beforeEach(() => {
  // nothing answers: what is typed rests in this browser
  globalThis.fetch = jest.fn<typeof fetch>(() => new Promise(() => {}));
  queryClient.setQueryData(keys.shop, { revision: 1, equipment: STOCK_EQUIPMENT });
});
afterEach(() => {
  cleanup();
  useDraft.getState().close();
  localStorage.clear();
});

/** The card of a job that is being worked on, as the page has it. */
function OpenCard() {
  const job = useDraft((draft) => draft.job)!;
  const planned = plan(job, STOCK_EQUIPMENT);
  const { stationId } = useParams();
  const [part] = planned.parts;
  return (
    <Card
      job={job}
      planned={planned}
      part={part!}
      equipment={STOCK_EQUIPMENT}
      stationId={stationId as StationId}
      kept={[]}
      goTo={() => {}}
    />
  );
}

function open(job: Job, at: StationId): void {
  useDraft.getState().open(job, 1);
  render(
    <QueryClientProvider client={queryClient}>
      <MemoryRouter initialEntries={[`/jobs/${job.id}/p1/${at}`]}>
        <Routes>
          <Route path="/jobs/:jobId/:partId/:stationId" element={<OpenCard />} />
        </Routes>
      </MemoryRouter>
    </QueryClientProvider>,
  );
}

const wheel = (teeth: number): Job =>
  drawnSpurJob({ id: 'j', name: 'Second wheel', pitch: '1.5', teeth, face: '12', bore: '10' });
const panel = () => screen.getByRole('region', { name: /^(Gear|Blank|Cutter|Dividing|Cut|Inspect)$/ });
const route = () => screen.getByRole('navigation', { name: 'Stations' });
async function typeInto(label: string, text: string): Promise<void> {
  const field = await screen.findByLabelText(label);
  await userEvent.clear(field);
  await userEvent.type(field, text);
}
const reads = (where: () => HTMLElement, words: RegExp | string) =>
  waitFor(() => expect(where().textContent.replace(/\s+/g, ' ')).toMatch(words));

describe('a spur gear on its card', () => {
  test('a count typed is said by every station at once, and rests in the browser as typed', async () => {
    open(wheel(62), 'gear');
    // da = m(z + 2) = 1.5 × 64; 40/62 = 20/31
    await reads(route, /Ø 96\.00 × 12\.00.*20 spaces on 31/);
    await typeInto('Teeth', '58');
    // da = 1.5 × 60; 40/58 = 20/29
    await reads(route, /Ø 90\.00 × 12\.00.*20 spaces on 29/);
    expect(useDraft.getState().job!.parts[0]).toMatchObject({ gear: { teeth: { typed: '58' } } });
    await waitFor(() => expect(localStorage.getItem('vuelta.draft.j')).toContain('"typed":"58"'));
  });
  test('what cannot be is told at its field, and the others say what they wait for', async () => {
    open(wheel(62), 'gear');
    await typeInto('Teeth', '12.5');
    const field = await screen.findByLabelText('Teeth');
    await waitFor(() => expect(field.getAttribute('aria-invalid')).toBe('true'));
    const told = document.getElementById(field.getAttribute('aria-describedby')!.split(' ').at(-1)!);
    expect(told!.textContent).toContain('The tooth count must be a whole number; 12.5 is not.');
    await reads(route, /Blank ?waits for the gear.*Dividing ?waits for the count/);
  });
  test('a blank turned over size moves the dial by half of it', async () => {
    open(wheel(62), 'blank');
    // df = 96 − 2 × 2.25 × 1.5
    await reads(panel, /Root diameter df ?89\.250 mm/);
    await typeInto('As turned, when measured', '96.2');
    // 2.25 × 1.5 = 3.375; over by 0.2 on diameter: 0.1 deeper
    await reads(panel, /0\.200 mm over size.*the dial goes to 3\.475 mm instead of 3\.375 mm/);
  });
  test('the cutter has a number in each school, and the way its range', async () => {
    open(wheel(62), 'cutter');
    // 55–134 teeth: No. 2 of the inch set, No. 7 of the metric one (Machinery’s Handbook; common practice)
    await reads(panel, /Inch school ?No\. 2/);
    await reads(panel, /Metric school ?No\. 7/);
    await reads(panel, /Cuts 55 to 134 teeth/);
  });
  test('a count that no plate divides says so, and what does', async () => {
    open(wheel(53), 'dividing');
    await reads(panel, /53 cannot be had by simple indexing with these plates/);
    await reads(panel, /52 and 54/);
  });
  test('settled, it is in doubt when what it stands on moves, and says from what to what', async () => {
    open(wheel(62), 'blank');
    await userEvent.click(await screen.findByRole('button', { name: /^Settle Blank/ }));
    await reads(route, /Blank.*settled/);
    await userEvent.click(within(route()).getByRole('link', { name: /Gear/ }));
    await typeInto('Teeth', '60');
    await reads(route, /in doubt/);
    await userEvent.click(within(route()).getByRole('link', { name: /Blank/ }));
    // 1.5 × 62 = 93
    await reads(panel, /Moved since it was settled.*96\.00 mm → 93\.00 mm/);
  });
  test('a step is undone from whichever station, by key or button, and redone', async () => {
    open(wheel(62), 'gear');
    await typeInto('Teeth', '58');
    await userEvent.click(within(route()).getByRole('link', { name: /Blank/ }));
    await typeInto('Face width', '15');
    await reads(route, /58 teeth.*Ø 90\.00 × 15\.00/);
    await userEvent.keyboard('{Control>}z{/Control}');
    await reads(route, /58 teeth.*Ø 90\.00 × 12\.00/);
    await userEvent.click(screen.getByRole('button', { name: 'Undo' }));
    await reads(route, /62 teeth.*Ø 96\.00 × 12\.00/);
    // beyond the start nothing happens
    await userEvent.keyboard('{Control>}z{/Control}');
    await reads(route, /62 teeth.*Ø 96\.00 × 12\.00/);
    expect(screen.getByRole('button', { name: 'Undo' }).getAttribute('aria-disabled')).toBe('true');
    await userEvent.keyboard('{Control>}{Shift>}z{/Shift}{/Control}');
    await reads(route, /58 teeth.*Ø 90\.00 × 12\.00/);
  });
});
