/* A readout of a mill, and a measuring tool with a data button, as models. */

export interface ReadoutKnobs {
  /** A figure jumps by so much, mm. */
  readonly noise: number;
  readonly scale: number;
  readonly reversed: boolean;
  readonly silent: boolean;
  readonly garbage: boolean;
  /** It says them in inches, with their unit. */
  readonly inches: boolean;
}
export const GOOD_READOUT: ReadoutKnobs = {
  noise: 0,
  scale: 0,
  reversed: false,
  silent: false,
  garbage: false,
  inches: false,
};

type Axis = 'X' | 'Y' | 'Z';

const figure = (mm: number, inches: boolean): string =>
  inches ? `${(mm / 25.4).toFixed(4)} in` : `${mm.toFixed(3)} mm`;

export class ReadoutModel {
  knobs: ReadoutKnobs = GOOD_READOUT;
  /** Where the axes truly are, mm. */
  at: Record<Axis, number> = { X: -40, Y: 0, Z: -10 };

  /** @param chance 0 … 1, for its noise @returns the line that it sends now; empty where it sends none */
  say(chance: number): string {
    const { noise, scale, reversed, silent, garbage, inches } = this.knobs;
    if (silent) return '';
    if (garbage) return 'X¿¿.¿ \u0001\u0002 mm\r\n';
    const shown = (mm: number) => (reversed ? -1 : 1) * mm * (1 + scale) + (chance - 0.5) * 2 * noise;
    const axes = Object.entries(this.at).map(([letter, mm]) => `${letter} ${figure(shown(mm), inches)}`);
    return `${axes.join(' ')}\r\n`;
  }
}

export interface ToolKnobs {
  readonly scale: number;
  readonly reversed: boolean;
  readonly battery: 'good' | 'low' | 'empty';
  readonly garbage: boolean;
  readonly inches: boolean;
}
export const GOOD_TOOL: ToolKnobs = {
  scale: 0,
  reversed: false,
  battery: 'good',
  garbage: false,
  inches: false,
};

export class ToolModel {
  knobs: ToolKnobs = GOOD_TOOL;
  /** What it measures, mm. */
  reads = 0;

  /** Its data button is pressed. @returns the line that it sends */
  press(): string {
    const { scale, reversed, battery, garbage, inches } = this.knobs;
    if (battery === 'empty') return '';
    if (garbage) return '%%#?\r\n';
    return `${figure((reversed ? -1 : 1) * this.reads * (1 + scale), inches)}\r\n`;
  }
}
