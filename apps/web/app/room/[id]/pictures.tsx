import { useLocalSearchParams } from 'expo-router';
import { PicturesPage } from '../../../src/shell/PicturesPage';

export default function PicturesRoute() {
  const { id, of } = useLocalSearchParams<{ id: string; of?: string }>();
  return <PicturesPage id={id} of={of} />;
}
