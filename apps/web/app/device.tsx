export { DevicePage as default } from '../src/features/device/DevicePage';
