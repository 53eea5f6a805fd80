import { useLocalSearchParams } from 'expo-router';
import { MantelPage } from '../../../src/shell/MantelPage';

export default function MantelRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <MantelPage id={id} />;
}
