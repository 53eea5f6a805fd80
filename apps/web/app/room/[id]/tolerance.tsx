import { useLocalSearchParams } from 'expo-router';
import { TolerancePage } from '../../../src/shell/TolerancePage';

export default function ToleranceRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <TolerancePage id={id} />;
}
