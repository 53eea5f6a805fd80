import './src/ui/bundles';
import './src/ui/backEntry';
import '@expo/metro-runtime';
// brings Metro's way of bringing files
import 'expo';
import { ExpoRoot } from 'expo-router';
import { ctx } from 'expo-router/_ctx';
import { renderRootComponent } from 'expo-router/build/renderRootComponent';
import { createElement } from 'react';
import { keepPages } from './src/ui/pages';

// what the address shows is brought together with what lies about it, and then all of it is laid at once
const pages = keepPages(ctx);
void pages
  .bring(window.location.pathname)
  .then(() => renderRootComponent(() => createElement(ExpoRoot, { context: pages.context })));
