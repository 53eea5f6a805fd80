import { guestRoom } from '@steddo/samples';
import { bothSides, changedThing, changedValue, touchedWords, wordingFor } from '@steddo/text';

const say = wordingFor({ ...guestRoom, units: 'imperial' });

describe('what was changed, in words', () => {
  it.each([
    ['', 'the whole room'],
    ['(height)', 'how high it hangs'],
    ['screen.mass', "set's mass"],
    ['choices.centreY', 'the height by hand'],
    ['mount', 'the mount'],
    ['evidence.e4', 'the mark e4'],
    ['guessed.screen.mass', "whether it is a guess: set's mass"],
    ['room.wall.build.studDepth', "stud's depth"],
    ['record.notes.x', 'a note'],
  ])('%s is %s', (path, words) => {
    const [list, ...rest] = path.split('.');
    // a guess is named by its whole path
    const parts = list === 'guessed' ? [list, rest.join('.')] : path === '' ? [] : path.split('.');
    expect(changedThing(parts, say)).toBe(words);
  });
  it('things go by the names that the room has for them', () => {
    const { id, name } = guestRoom.room.viewers![0]!;
    expect(changedThing(['room', 'viewers', id, 'eye'], say)).toBe(`eye height of the seat of ${name}`);
    const thing = guestRoom.room.objects![0]!;
    expect(changedThing(['room', 'objects', thing.id, '(place)'], say)).toMatch(/^where the thing on the wall .+ is$/);
  });
  it.each<[string[], unknown, string]>([
    [['screen', 'mass'], 10, '22 lb'],
    [['screen', 'width'], 254, '10 in'],
    [['mount', 'tilt', 'down'], 15, '15°'],
    [['choices', 'armHole'], 2, '2'],
    [['aim', 'height'], 'vote', 'hold it up and vote'],
    [['room', 'wall', 'build', 'kind'], 'masonry', 'masonry wall'],
    [['screen', 'pattern'], { width: 200, height: 100 }, '200 x 100'],
    [['evidence', 'e1'], { id: 'e1', kind: 'edge-left', x: 254, y: 508 }, 'edge left, at 10 in, up 20 in'],
    [['room', 'viewers'], [1, 2], '2 entries'],
    [['title'], undefined, 'nothing'],
    [['choices', 'asideHeld'], true, 'yes'],
    [[], { title: 'Snug' }, '“Snug”'],
  ])('the value at %j', (path, value, words) => {
    expect(changedValue(path, value, say)).toBe(words);
  });
  it('of one thing with several values each is named', () => {
    const changes = [
      { path: ['room', 'objects', 'o1', 'left'], before: 254, after: 508 },
      { path: ['room', 'objects', 'o1', 'right'], before: 762, after: undefined },
    ];
    expect(bothSides(changes, say)).toEqual({
      theirs: 'left edge 10 in, right edge 30 in',
      mine: 'left edge 20 in, right edge nothing',
    });
  });
  it('what a version touched is named, of many the first few', () => {
    expect(touchedWords(['screen.mass', 'screen.mass'], say)).toBe("Set's mass");
    expect(touchedWords(['title', 'units', 'mount', 'screen.mass', 'screen.width'], say)).toMatch(/ and 2 more$/);
    expect(touchedWords([], say)).toBe('nothing named');
  });
});
