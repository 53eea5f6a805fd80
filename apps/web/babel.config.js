module.exports = (api) => {
  api.cache(true);
  // of Paper only what is used
  return { presets: ['babel-preset-expo'], plugins: ['react-native-paper/babel'] };
};
