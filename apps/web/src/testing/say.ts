import { wordingFor } from '@steddo/text';
import { newRoom } from '../data/newRoom';

/** The wording of an imperial room, for tests. */
export const guestRoomSay = () => wordingFor(newRoom('Test', 'imperial'));
