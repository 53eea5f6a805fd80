import './src/ui/backEntry';
import 'expo-router/entry';
