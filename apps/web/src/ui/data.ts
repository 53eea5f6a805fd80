/** data-* attributes, which react-native-web takes as `dataSet` and React Native's types do not know. */
export const data = (values: Record<string, string | number | undefined>): object => ({
  dataSet: values,
});
