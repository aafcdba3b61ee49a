/** @jest-environment jsdom */
import '../jsdom.ts';
import { afterEach, describe, expect, test } from '@jest/globals';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useEffect, useState } from 'react';
import type { Issue } from '../../core/findings/index.ts';
import { measure, type Measure, type UnitSystem } from '../../core/units/index.ts';
import { ChoiceField, EitherField, LengthField, MeasureField } from './index.ts';

afterEach(cleanup);

const last = { value: measure('', 'mm') };
const keep = (value: Measure): void => void (last.value = value);

/** A length that a person types into, as a panel holds it. */
function Face({ start, units, issues = [] }: { start: Measure; units: UnitSystem; issues?: Issue[] }) {
  const [value, setValue] = useState(start);
  useEffect(() => keep(value));
  return (
    <LengthField
      label="Face"
      value={value}
      onChange={setValue}
      issues={issues}
      units={units}
      hint="As drawn."
    />
  );
}

describe('a field for a length', () => {
  test('keeps what is typed and says it in both units', async () => {
    render(<Face start={measure('', 'mm')} units="mm" />);
    const input = screen.getByLabelText('Face');
    expect(screen.getByText('As drawn.')).toBeTruthy();
    await userEvent.type(input, '12.7');
    expect(last.value).toEqual({ typed: '12.7', unit: 'mm' });
    // 12.7 mm is half an inch
    expect(document.querySelector('.field-echo')!.textContent).toMatch(/0\.5000? in/);
  });

  test('a tool that writes stands by its figure, until a hand types there', async () => {
    render(<Face start={measure('', 'mm')} units="mm" />);
    const input = screen.getByLabelText<HTMLInputElement>('Face');
    input.dataset['tool'] = 'Caliper';
    fireEvent.change(input, { target: { value: '12.34 mm' } });
    delete input.dataset['tool'];
    expect(last.value).toEqual({ typed: '12.34 mm', unit: 'mm', by: 'Caliper' });
    expect(screen.getByText('by Caliper')).toBeTruthy();
    await userEvent.type(input, '{Backspace}');
    expect(last.value).toEqual({ typed: '12.34 m', unit: 'mm' });
    expect(screen.queryByText('by Caliper')).toBeNull();
  });

  test('the unit behind the figure is pressed to the other; one that is written stands for itself', async () => {
    render(<Face start={measure('2', 'mm')} units="mm" />);
    await userEvent.click(screen.getByRole('button', { name: 'Face: unit mm, press for in' }));
    expect(last.value).toEqual({ typed: '2', unit: 'in' });
    await userEvent.type(screen.getByLabelText('Face'), ' mm');
    expect(screen.getByText('as written')).toBeTruthy();
    expect(screen.queryByRole('button')).toBeNull();
  });

  test('what takes the place of all that stood there is in the units the card shows now', async () => {
    render(<Face start={measure('25', 'mm')} units="in" />);
    const input = screen.getByLabelText<HTMLInputElement>('Face');
    await userEvent.tripleClick(input);
    await userEvent.keyboard('1');
    expect(last.value).toEqual({ typed: '1', unit: 'in' });
    await userEvent.keyboard('.5');
    expect(last.value).toEqual({ typed: '1.5', unit: 'in' });
  });

  test('arrows step the figure: up and down by one of its last place, ten with Shift', async () => {
    render(<Face start={measure('12.5', 'mm')} units="mm" />);
    const input = screen.getByLabelText('Face');
    await userEvent.type(input, '{ArrowUp}');
    const up = Number(last.value.typed);
    expect(up).toBeGreaterThan(12.5);
    await userEvent.type(input, '{ArrowDown}{ArrowDown}');
    expect(Number(last.value.typed)).toBeCloseTo(12.5 - (up - 12.5), 9);
    await userEvent.type(input, '{Shift>}{ArrowUp}{/Shift}');
    expect(Number(last.value.typed)).toBeCloseTo(12.5 + 9 * (up - 12.5), 9);
  });

  test('what is wrong is said at the field, marked for those who listen, and takes the place of the echo', () => {
    const wrong: Issue = {
      code: 'not-a-number',
      path: 'parts.p1.blank.faceWidth',
      severity: 'wrong',
      given: 'wide',
      allowed: '12.5 or 1/2 in',
    };
    render(<Face start={measure('wide', 'mm')} units="mm" issues={[wrong]} />);
    const input = screen.getByLabelText('Face');
    expect(input.getAttribute('aria-invalid')).toBe('true');
    const said = document.getElementById(input.getAttribute('aria-describedby')!)!;
    expect(said.textContent).toBe('✕ “wide” cannot be read. Write it like 12.5 or 1/2 in.');
  });

  test('what is still needed is no fault: nothing is said', () => {
    const needed: Issue = { code: 'missing', path: '', severity: 'needed', allowed: 'the face' };
    render(<Face start={measure('', 'mm')} units="mm" issues={[needed]} />);
    expect(screen.getByLabelText('Face').getAttribute('aria-invalid')).toBe('false');
    expect(screen.queryByText(/Still needed/)).toBeNull();
  });
});

test('a field with units to choose from keeps what is typed when the unit is another', async () => {
  let kept: Measure = measure('14', 'module');
  const units = [
    { value: 'module', label: 'module' },
    { value: 'dp', label: 'DP' },
  ] as const;
  render(<MeasureField label="Pitch" value={kept} onChange={(next) => (kept = next)} units={units} />);
  await userEvent.click(screen.getByText('DP'));
  expect(kept).toEqual({ typed: '14', unit: 'dp' });
});

test('a choice tells what it means and what is asked of it; another is taken by a press', async () => {
  let hand: 'left' | 'right' = 'right';
  const asked: Issue = { code: 'hand-unasked', path: '', severity: 'query', given: 'right' };
  const options = [
    { value: 'left', label: 'left' },
    { value: 'right', label: 'right' },
  ] as const;
  render(
    <>
      <EitherField
        label="Hand"
        options={options}
        value={hand}
        onChange={(to) => (hand = to)}
        issues={[asked]}
      />
      <ChoiceField
        label="Other hand"
        options={options}
        value={null}
        onChange={() => {}}
        echo="Of the mate."
      />
    </>,
  );
  expect(document.querySelector('.field-issue.is-query')!.textContent).not.toBe('');
  expect(screen.getByText('Of the mate.')).toBeTruthy();
  await userEvent.click(screen.getByText('left'));
  expect(hand).toBe('left');
});
