import { PracticePage } from '../../src/shell/PracticePage';

export default function PracticeRoute() {
  return <PracticePage />;
}
