import { useLocalSearchParams } from 'expo-router';
import { MountPage } from '../../src/features/catalogue/MountPage';

export default function MountRoute() {
  const { id, room } = useLocalSearchParams<{ id: string; room?: string }>();
  return <MountPage id={id} room={room} />;
}
