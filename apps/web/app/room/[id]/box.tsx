import { useLocalSearchParams } from 'expo-router';
import { BoxPage } from '../../../src/shell/BoxPage';

export default function BoxRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <BoxPage id={id} />;
}
