/** What a drawing of a gear needs; all mm and radians. */
export interface GearDrawing {
  readonly teeth: number;
  readonly tipDiameter: number;
  readonly pitchDiameter: number;
  readonly baseDiameter: number;
  readonly rootDiameter: number;
  readonly pressureAngle: number;
  readonly toothThickness: number;
}

export interface Point {
  readonly x: number;
  readonly y: number;
}
