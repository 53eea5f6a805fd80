import { useLocalSearchParams } from 'expo-router';
import { LadderPage } from '../../../src/shell/LadderPage';

export default function LadderRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <LadderPage id={id} />;
}
