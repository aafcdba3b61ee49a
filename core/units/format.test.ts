import { expect, test } from '@jest/globals';
import {
  dmsText,
  exact,
  lengthFigure,
  lengthText,
  pitchOf,
  pitchText,
  roundedText,
  turnsText,
} from './index.ts';

test('degrees, minutes and seconds as a protractor is read', () => {
  expect(dmsText(exact(360, 58))).toBe('6° 12′ 25″');
  expect(dmsText(exact(9))).toBe('9°');
  expect(dmsText(exact(29, 2))).toBe('14° 30′');
  // rounding up carries through minutes into degrees
  expect(dmsText(exact('7199.9').div(3600))).toBe('2°');
});

test('hundredths of a millimetre and thous in the shop, one place more where asked', () => {
  expect(lengthText(75, 'mm')).toBe('75.00 mm');
  expect(lengthText(75, 'in')).toBe('2.953 in');
  expect(lengthText(75, 'in', 'fine')).toBe('2.9528 in');
  expect(lengthFigure(-0.001, 'mm')).toBe('0.00');
  // 2.157/12 in = 0.17975 in stands on the half, though its float lies below
  expect(lengthFigure(0.17975 * 25.4, 'in', 'fine')).toBe('0.1798');
});

test('pitches and crank turns as they are said', () => {
  expect(pitchText(pitchOf('module', exact('1.250')))).toBe('m 1.25');
  expect(pitchText(pitchOf('dp', exact(14)))).toBe('14 DP');
  expect([turnsText(0, 20, 29), turnsText(1, 9, 27), turnsText(2, 0, 20)]).toEqual(['20/29', '1 9/27', '2']);
});

test('floats rest as text that does not depend on their last bits', () => {
  expect(roundedText(0.1 + 0.2)).toBe(roundedText(0.3));
});
