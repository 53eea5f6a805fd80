module.exports = (api) => {
  api.cache(true);
  // of Paper only what is used, and of our packages too
  return { presets: ['babel-preset-expo'], plugins: ['react-native-paper/babel', './directImports.js'] };
};
