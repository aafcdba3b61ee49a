export { DevicesPage } from './DevicesPage.tsx';
