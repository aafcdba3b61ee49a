/** @jest-environment jsdom */
import '../jsdom.ts';
import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { usePreferences } from '../state/index.ts';
import { Guard, Notice, PageGuard, useKeys, type KeyMap } from './index.ts';
import { Link, MemoryRouter, Route, Routes } from 'react-router';

afterEach(cleanup);

test('a page that fails says that nothing is lost, and leads on; at another address it is over', async () => {
  const said = jest.spyOn(console, 'error').mockImplementation(() => {});
  const Failing = (): never => {
    throw new Error('did not arrive');
  };
  render(
    <MemoryRouter initialEntries={['/failing']}>
      <PageGuard>
        <Routes>
          <Route path="/" element={<Link to="/failing">there again</Link>} />
          <Route path="/failing" element={<Failing />} />
        </Routes>
      </PageGuard>
    </MemoryRouter>,
  );
  expect(screen.getByRole('heading').textContent).toBe('This page could not be shown');
  expect(screen.getByText(/^Nothing that was counted or stored is lost\./)).toBeTruthy();
  await userEvent.click(screen.getByRole('link', { name: 'Back to the bench' }));
  expect(screen.queryByRole('heading')).toBeNull();
  await userEvent.click(screen.getByRole('link', { name: 'there again' }));
  expect(screen.getByRole('heading').textContent).toBe('This page could not be shown');
  said.mockRestore();
});

describe('a fault in one panel', () => {
  beforeEach(() => void jest.spyOn(console, 'error').mockImplementation(() => {}));
  afterEach(() => void jest.restoreAllMocks());

  function Panel({ of }: { readonly of: { readonly faulty: boolean } }) {
    if (of.faulty) throw new Error('no such circle');
    return <p>24 on 27</p>;
  }
  const card = (of: { faulty: boolean }) => (
    <>
      <p>route card</p>
      <Guard what="The drawing" of={of}>
        <Panel of={of} />
      </Guard>
    </>
  );

  test('stays in it, says its words, and is tried again when it shows something else', () => {
    const faulty = { faulty: true };
    const { rerender } = render(card(faulty));
    expect(screen.getByText('route card')).toBeTruthy();
    expect(screen.getByRole('alert').textContent).toMatch(/^The drawing could not be shown\. Nothing typed/);
    expect(screen.getByText('no such circle')).toBeTruthy();
    rerender(card(faulty));
    expect(screen.queryByText('24 on 27')).toBeNull();
    rerender(card({ faulty: false }));
    expect(screen.getByText('24 on 27')).toBeTruthy();
    expect(screen.queryByRole('alert')).toBeNull();
  });
});

describe('single keys', () => {
  const pressed: string[] = [];
  beforeEach(() => void pressed.splice(0));
  const keys: KeyMap = {
    m: () => pressed.push('mill'),
    ' ': () => pressed.push('done'),
    Enter: () => pressed.push('enter'),
  };
  function Screen() {
    useKeys(keys);
    return (
      <>
        <button type="button" onClick={() => pressed.push('button')}>
          Back
        </button>
        <input aria-label="Note" />
        <input type="checkbox" aria-label="Keyed" />
      </>
    );
  }

  test('act on the page, in capitals too, and never with Ctrl', async () => {
    render(<Screen />);
    await userEvent.keyboard('mM {Control>}m{/Control}');
    expect(pressed).toEqual(['mill', 'mill', 'done']);
  });

  test('switched off, no letter, figure or space does anything', async () => {
    usePreferences.getState().swapSingleKeys();
    render(<Screen />);
    await userEvent.keyboard('m 1');
    expect(pressed).toEqual([]);
    usePreferences.getState().swapSingleKeys();
    await userEvent.keyboard('m');
    expect(pressed).toEqual(['mill']);
  });

  test('are off inside a field', async () => {
    render(<Screen />);
    await userEvent.type(screen.getByLabelText('Note'), 'm m');
    expect(pressed).toEqual([]);
    expect(screen.getByLabelText<HTMLInputElement>('Note').value).toBe('m m');
  });

  test('a button in focus keeps its own Space and Enter; a letter still acts', async () => {
    render(<Screen />);
    screen.getByRole('button').focus();
    await userEvent.keyboard(' m{Enter}');
    expect(pressed).toEqual(['button', 'mill', 'button']);
  });

  test('a box that was ticked keeps Space, and lets letters act', async () => {
    render(<Screen />);
    await userEvent.click(screen.getByLabelText('Keyed'));
    await userEvent.keyboard('m ');
    expect(pressed).toEqual(['mill']);
    expect(screen.getByLabelText<HTMLInputElement>('Keyed').checked).toBe(false);
  });

  test('a key held down acts once', async () => {
    render(<Screen />);
    await userEvent.keyboard('{m>4/}');
    expect(pressed).toEqual(['mill']);
  });
});

test('a notice that is wrong interrupts who listens; a question waits', () => {
  render(
    <>
      <Notice tone="wrong">Cannot be cut.</Notice>
      <Notice tone="query" word="Moved:">
        45 → 46
      </Notice>
    </>,
  );
  expect(screen.getByRole('alert').textContent).toBe('Cannot be cut.');
  expect(screen.getByRole('status').textContent).toBe('Moved: 45 → 46');
});
