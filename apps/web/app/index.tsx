export { RoomsScreen as default } from '../src/features/rooms/RoomsScreen';
