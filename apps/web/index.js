import './src/ui/bundles';
import './src/ui/backEntry';
import 'expo-router/entry';
