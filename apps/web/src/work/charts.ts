/** Every chart in one lazy part: shared between two of them, the chart library would come with the first page. */
export { default as SourceChart } from './SourceChart';
export { default as UtilisationChart } from './UtilisationChart';
