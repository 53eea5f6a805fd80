import { useLocalSearchParams } from 'expo-router';
import { TimberPage } from '../../../src/shell/TimberPage';

export default function TimberRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <TimberPage id={id} />;
}
