import { useLocalSearchParams } from 'expo-router';
import { DayPage } from '../../../src/shell/DayPage';

export default function DayRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <DayPage id={id} />;
}
