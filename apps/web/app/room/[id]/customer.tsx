import { useLocalSearchParams } from 'expo-router';
import { CustomerPage } from '../../../src/shell/CustomerPage';

export default function CustomerRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <CustomerPage id={id} />;
}
