import { useLocalSearchParams } from 'expo-router';
import { HangingPage } from '../../../src/shell/HangingPage';

export default function HangingRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <HangingPage id={id} />;
}
