/** What the core uses of simple-statistics, by the path of its source: the whole package is 14 kB in every bundle. */
export { default as errorFunction } from '../../../node_modules/simple-statistics/src/error_function.js';
