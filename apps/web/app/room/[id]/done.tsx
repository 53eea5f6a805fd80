import { useLocalSearchParams } from 'expo-router';
import { DonePage } from '../../../src/shell/DonePage';

export default function DoneRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <DonePage id={id} />;
}
