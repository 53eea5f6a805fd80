import { useLocalSearchParams } from 'expo-router';
import { SheetsPage } from '../../../src/shell/SheetsPage';

export default function SheetsRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <SheetsPage id={id} />;
}
