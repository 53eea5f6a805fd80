/** The provider by its own path: from the index it brings all of Paper along. */
declare module 'react-native-paper/lib/module/core/PaperProvider' {
  export { PaperProvider as default } from 'react-native-paper';
}
/** Likewise the theme that Steddo's is made from. */
declare module 'react-native-paper/lib/module/styles/themes' {
  export { MD3LightTheme } from 'react-native-paper';
}
