/** Valid jobs and the demo catalogue: for the command line, the seed, the tests and the benchmark. */
export { demoCatalogue } from './catalogue';
export {
  atticSnug,
  breakfastBar,
  clockmakersBench,
  demoRooms,
  guestRoom,
  hallwayNiche,
  landingStudy,
  narrowboatCabin,
  sewingCorner,
  smallestRoom,
  smallestStudWall,
  stoveParlour,
} from './jobs';
export { photographed, type Photographed } from './photographed';
