import { expect, test } from '@jest/globals';
import { boardTex, mmResult, type Working } from './index.ts';

const line = (joined?: Working['joined']): Working => ({
  ...{
    key: 'k',
    label: 'Angle',
    formula: '\\tan\\gamma = \\frac{p}{\\pi d}',
    put: '\\frac{6}{\\pi \\times 24}',
  },
  ...{ result: '\\gamma = 4.5^\\circ', source: '', ...(joined ? { joined } : {}) },
});

test('figures put in equal their formula; an angle looked up follows from both, a step that is no equation from each', () => {
  const [formula, put, result] = [line().formula, line().put, line().result];
  expect(boardTex(line(), 'mm')).toBe(`${formula} = ${put} = ${result}`);
  expect(boardTex(line('looked-up'), 'mm')).toBe(`${formula} = ${put} \\Rightarrow ${result}`);
  expect(boardTex(line('\\Rightarrow'), 'mm')).toBe(`${formula} \\Rightarrow ${put} \\Rightarrow ${result}`);
});

test('a length is told in inches too where the job is in inches', () => {
  const outside = { ...line(), ...mmResult(95.25) };
  expect(boardTex(outside, 'mm')).toMatch(/= 95\.25\\ \\mathrm\{mm\}$/);
  expect(boardTex(outside, 'in')).toMatch(/= 95\.25\\ \\mathrm\{mm\} = 3\.75\\ \\mathrm\{in\}$/);
  expect(boardTex(line(), 'in')).toBe(boardTex(line(), 'mm'));
});
