import { plan, type FindingCode } from '@steddo/core';
import { atticSnug } from '@steddo/samples';
import { bindingName, findingText, offText, planFile, poseText, wordingFor, stopText, tiltText } from '../src';

const say = wordingFor(atticSnug);
const metric = wordingFor({ ...atticSnug, units: 'metric' });

describe('an arm in words', () => {
  it('a pose: how far out, which way', () => {
    expect(poseText({ extension: 215.9, yaw: 22.6 }, say)).toBe('8 1/2 in out, turned 23° right');
    expect(poseText({ extension: 66, yaw: -0.2 }, metric)).toBe('66 mm out, straight');
    expect(poseText({ extension: 300, yaw: -14.7 }, metric)).toBe('300 mm out, turned 15° left');
  });
  it('how it leans', () => {
    expect([tiltText(0.4), tiltText(4.6), tiltText(-2)]).toEqual(['', ', leaning 5° down', ', leaning 2° up']);
  });
  it('how far off a seat is', () => {
    expect([offText(0.3), offText(-17.6)]).toEqual(['straight on', '18° off']);
  });
  it('what stops it has a name that a person knows', () => {
    expect(bindingName('floor:f2', say)).toBe('the rowing machine');
    expect(bindingName('wall:left', say)).toBe('the left side wall');
    expect(stopText('object:o1', 0, say)).toBe('The low bookcase is in the way.');
    expect(stopText('reach', 660.4, say)).toBe('The arm is too short. It would take an arm 26 in long.');
    expect(stopText('swivel', 0, say)).toBe('The mount does not turn that far.');
    expect(stopText('own-wall', 0, say)).toBe('Its own wall is in the way.');
  });
  it('the rower who is past 30 degrees is told what would do', () => {
    const stiff = {
      ...atticSnug,
      mount: { ...atticSnug.mount!, swivel: { left: 3, right: 3 } },
      room: { ...atticSnug.room, viewers: [{ id: 'v2', name: 'the rower', eye: 900, distance: 1200, x: 3700 }] },
    };
    const poor = plan(stiff).findings.find((f) => f.code === ('seat-poor' satisfies FindingCode))!;
    expect(findingText(poor, say)).toMatch(
      /^The rower sees the set \d+(\.\d)?° from the side at best; over 30° is poor\. The mount does not turn that far\.$/,
    );
  });
  it('the plan file has the words of every finding and working of the reach', () => {
    const file = planFile(plan(atticSnug), atticSnug);
    for (const f of file.findings.filter((o) => o.stage === 'reach')) expect(f.message).toMatch(/^[A-Z].*\.$/);
    expect(file.reach!.workings!.cableSlack!.label).toBe('slack that the arm takes up');
  });
});
