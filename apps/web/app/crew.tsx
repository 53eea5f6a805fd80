export { CrewPage as default } from '../src/features/crew/CrewPage';
