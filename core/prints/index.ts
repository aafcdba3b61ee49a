export { gearPath, gearPrint, meshPrint, toothPrint } from './gear.ts';
export { blankPrint, rimPrint, wormPrint, type PrintSet } from './lathe.ts';
export { centrePrint, swingPrint, trainPrint, type CentreShown, type SwingShown } from './machine.ts';
export { madePlatePrint, platePrint, type PlateShown } from './plate.ts';
export { templatePrint } from './template.ts';
export { rackPrint, threadLine, wormSection, type RackForm } from './thread.ts';
