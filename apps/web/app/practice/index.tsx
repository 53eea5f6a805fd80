import { PracticePage } from '../../src/features/practice/PracticePage';

export default function PracticeRoute() {
  return <PracticePage />;
}
