import { holeRows, type MadePlate } from '../../../core/dividing/index.ts';
import { saveTable } from '../../frame/index.ts';

/** The hole table as a file that any spreadsheet or readout takes. */
export function saveHoles(plate: MadePlate): void {
  void saveTable(`holes-${plate.holes}.csv`, [['order', 'hole', 'x mm', 'y mm'], ...holeRows(plate)]);
}
