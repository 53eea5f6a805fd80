export { ShownPage as default } from '../src/shell/ShownPage';
