export { DeviceService } from './service.ts';
export { openWire, type Hearer, type OpenWire, type Wire } from './wires.ts';
