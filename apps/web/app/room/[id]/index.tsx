import { Redirect, useLocalSearchParams } from 'expo-router';

export default function Room() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <Redirect href={`/room/${id}/room`} />;
}
