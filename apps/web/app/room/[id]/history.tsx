import { useLocalSearchParams } from 'expo-router';
import { HistoryRoute } from '../../../src/shell/HistoryRoute';

export default function History() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <HistoryRoute id={id} />;
}
