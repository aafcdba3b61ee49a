import { expect, test } from '@jest/globals';
import { boardTex, type Working } from './index.ts';

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
  expect(boardTex(line())).toBe(`${formula} = ${put} = ${result}`);
  expect(boardTex(line('looked-up'))).toBe(`${formula} = ${put} \\Rightarrow ${result}`);
  expect(boardTex(line('\\Rightarrow'))).toBe(`${formula} \\Rightarrow ${put} \\Rightarrow ${result}`);
});
