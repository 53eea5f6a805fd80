import { useLocalSearchParams } from 'expo-router';
import { PhotoPage } from '../../../src/shell/PhotoPage';

export default function PhotoRoute() {
  const { id, picture = '' } = useLocalSearchParams<{ id: string; picture?: string }>();
  return <PhotoPage id={id} picture={picture} />;
}
