import type { ItemKind } from '@steddo/contract';

/** Every tolerance and default of the core, once, with its unit and its reason. */

/** Two lengths closer than this are the same length, mm. Far below what any tape shows. */
export const SAME_MM = 1e-6;

/** A measured value further than this from the geometry means that something is upside down, mm. Ours. */
export const MEASURED_CHECK_MM = 5;

/** Outline further than this share from 16:9 of the diagonal is worth a caution. Ours. */
export const OUTLINE_SHARE = 0.04;

/** Two pattern widths closer than this are the same pattern, mm: inserts are drilled to the millimetre. */
export const PATTERN_MM = 1;

/** Wall covering that a mount takes when its label says nothing, mm (5/8 in). Common practice. */
export const COVERING_LIMIT_MM = 16;

/** Board on a stud wall when nobody has measured it, mm (1/2 in). Common practice. */
export const BOARD_MM = 12.7;

/** Width of a stud, mm (1 1/2 in). Common practice. */
export const STUD_WIDTH_MM = 38;

/** Centre to centre of studs when nobody has said, mm (16 in). Common practice. */
export const STUD_SPACING_MM = 406.4;

/** Thickness of a set when nobody has measured it, mm; only enters the angles. Ours. */
export const SET_THICKNESS_MM = 60;

/** Left free under a ceiling, and the rise to lift the set over the hooks, mm. Ours. */
export const CEILING_GAP_MM = 50;
export const LIFT_ON_MM = 25;

/** Bottom edge above whatever stands below, mm (8 in). Common practice. */
export const ABOVE_GAP_MM = 203.2;

/** Bottom edge in a living room, mm (42 to 48 in). Common practice. */
export const BOTTOM_BAND_MM = { from: 1066.8, to: 1219.2 } as const;

/** Eyes when nobody has measured them, mm. Common practice: seated 130 cm, standing 170 cm. */
export const EYE_SEATED_MM = 1300;
export const EYE_STANDING_MM = 1700;

/** Share of the recline by which the resting gaze rises. Ours. */
export const RECLINE_SHARE = 0.3;

/** Picture's centre within this of the resting gaze, degrees: ergonomic practice. */
export const COMFORT_CENTRE_DEG = 15;

/** Picture's top within this of level, degrees: SMPTE EG 18, from memory. */
export const COMFORT_TOP_DEG = 35;

/** Errors of the finders, mm (one standard deviation). Ours. */
export const EDGE_SD_MM = 4;
export const CENTRE_SD_MM = 6;
export const OUTLET_SD_MM = 6;
/** A board screw sits at least this far inside its stud's edges, mm. Ours. */
export const FASTENER_INSET_MM = 6;
/** Where the drill lands against the mark, mm (one standard deviation). Ours. */
export const DRILL_SD_MM = 1.5;

/** A reading that has nothing to do with a stud, and a probe that misleads: chances. Ours. */
export const SPURIOUS = { edge: 0.05, centre: 0.05, outlet: 0.05, fastener: 0.1 } as const;
export const PROBE_WRONG = 0.02;

/** Chance that a hole is in wood, from which it is go, and from which it is a caution. Ours. */
export const HOLE_GO = 0.98;
export const HOLE_CAUTION = 0.9;

/** Clearance of the shank's centre from the ply's edge, in diameters (NDS 12.5.1, from memory). */
export const EDGE_DIAMETERS = 1.5;

/** Drilled deeper than the screw goes, mm. Ours. */
export const PILOT_OVERDRILL_MM = 5;

/** Levelness over the set's width: good, and seen by everybody, mm. Ours. */
export const LEVEL_GOOD_MM = 1;
export const LEVEL_SEEN_MM = 3;

/** The thinnest sheet that a shim is cut from, mm. Ours. */
export const SHIM_MM = 0.1;

/** Left free between the screw's end and the bottom of the insert, mm. Ours. */
export const INSERT_FREE_MM = 1;

/** Seats further across than this ask for a set that turns; from this on plainer mounts are a caution. */
export const ACROSS_TURN_DEG = 30;
export const ACROSS_MIND_DEG = 20;

/** Tilt that nobody misses, degrees; and tilt lacking by so much that the picture is past its comfort band. */
export const TILT_PLAIN_DEG = 5;
export const TILT_STOP_DEG = 15;

/** From this diagonal on two people lift, mm (50 in). Common practice. */
export const TWO_PEOPLE_MM = 1270;

/** Degrees of view that a picture should fill at least and at most: common practice, from memory. */
export const FILLS_LEAST_DEG = 30;
export const FILLS_MOST_DEG = 40;

/** What a sharp eye tells apart, degrees: one minute of arc (ITU-R BT.500 and BT.2022, from memory). */
export const SHARP_DEG = 1 / 60;

/** A thing this close pulls a dragged edge or middle to it, mm on the wall. Ours. */
export const SNAP_MM = 25;

/** The set nearer to a thing than this counts as touching it on its way, mm. Ours. */
export const TOUCH_MM = 0.5;

/** A seat this far off the set's axis or less is faced, degrees. Ours. */
export const FACES_DEG = 0.5;

/** Further off axis than this a seat is poorly served, degrees. Ours. */
export const POOR_DEG = 30;

/** Label and linkage may differ by so much before somebody should measure again, mm. Ours. */
export const LABEL_DIFFERS_MM = 15;

/** Grid of the set's joint over the floor on which poses are tried, and that of the coverage map, mm. */
export const REACH_STEP_MM = 40;
export const COVERAGE_STEP_MM = 50;

/** How much further an arm could come out for it to be called too short, mm. Ours. */
export const LONGER_MM = 1500;

/** Cable that a joint takes up so that it can turn, mm. Ours. */
export const JOINT_CABLE_MM = 100;

/** Out of the wall at most, with an edge between these heights over a walkway, mm: 4, 27, 80 in (ADA 2010, 307.2). */
export const WALKWAY = { outMm: 101.6, fromMm: 685.8, toMm: 2032 } as const;

/** Wanted between the set and what is under or over it anywhere on its way, mm. Ours. */
export const SWING_GAP_MM = 25;

/** A plug standing out of its outlet, when nobody has measured it, mm. Ours. */
export const PLUG_MM = 40;

/** How far things on a wall stand out when nobody has measured it, mm. Ours. */
export const USUAL_OUT_MM: Partial<Record<ItemKind, number>> = {
  outlet: 5,
  switch: 5,
  data: 5,
  furniture: 400,
  cabinet: 330,
  shelf: 250,
  mantel: 200,
  chimney: 300,
  curtain: 100,
  soundbar: 90,
};

/** Pitches of studs: 16 and 24 in, 400 and 600 mm; how true they are set; the odd ones. Ours. */
export const PITCH_PEAKS_MM = [406.4, 609.6, 400, 600] as const;
export const PITCH_SD_MM = 6;
export const PITCH_RANGE_MM = { from: 138, to: 800 } as const;
export const ODD_PITCH_SHARE = 0.1;
export const STATED_PITCH_SHARE = 0.7;

/** Studs that are doubled, at openings and corners. Ours. */
export const DOUBLE_SHARE = 0.05;

/** Widths of a ply when nobody has measured it, mm, and how usual each is: 1 1/2 in, 45 and 50 mm. Ours. */
export const PLY_WIDTHS_MM = [
  { width: STUD_WIDTH_MM, share: 0.85 },
  { width: 45, share: 0.1 },
  { width: 50, share: 0.05 },
] as const;

/** A stud stands in a corner against a return wall so often; how true it is set there, mm. Ours. */
export const RETURN_STUD_SHARE = 0.6;
export const RETURN_STUD_SD_MM = 6;

/** A stud less likely than this is not shown, and a reading less likely its stud's is odd. Ours. */
export const STUD_SHOWN = 0.5;
export const READING_ODD = 0.5;

/** A wood probe this near to a nogging's middle may have met the nogging, mm: half of 38, and the hand. Ours. */
export const NOGGING_HALF_MM = 25;

/** Nogging marks this close in height are one nogging, mm. Ours. */
export const SAME_NOGGING_MM = 40;

/** Cables and pipes run straight from what they serve, this much beside it, mm. Ours; local rules differ. */
export const ZONE_MARGIN_MM = 50;
/** A hole nearer than this to something seen in the wall is in it, mm. Ours. */
export const SEEN_MARGIN_MM = 50;
/** A live signal is this vague, mm. Ours. */
export const LIVE_MARGIN_MM = 75;
/** How far a camera sees up and down the bay, when nobody said, mm. Ours. */
export const LOOK_REACH_MM = 300;

/** A look: drilled 5/16 in, worked wider to 1/2 in, 3 in beside the line; for what it is good. Common practice. */
export const LOOK = { drillMm: 7.94, wideMm: 12.7, besideMm: 76.2 } as const;

/** A poke goes 3/4 in in from an edge to the middle, and an edge is known to 1/8 in. Common practice, ours. */
export const POKE_STEP_MM = 19.05;
export const POKE_FINE_MM = 3.2;

/** Where to look next: within this of the holes, every so often, mm; and the least that a look has to bring. */
export const NEXT_LOOK = { withinMm: 80, stepMm: 5, leastGain: 0.005, readingStepMm: 4 } as const;

/** P(wood) goes into the plan file every so often along the wall, mm. Ours. */
export const WOOD_STEP_MM = 5;

/** Handling of a set on an arm, N: leaning on its front's lower edge, and pushing it sideways. Ours. */
export const HANDLING = { downN: 100, sideN: 50 } as const;

/** Mass of a mount when nobody has weighed it, kg, by what it does. Ours. */
export const MOUNT_MASS_KG = { still: 5, moving: 12 } as const;

/** Standard gravity, m/s2: exact by definition. */
export const GRAVITY_N_PER_KG = 9.80665;

/** A pack's ultimate rating is divided by this. Common practice for hollow-wall and masonry anchors. */
export const RATING_FACTOR = 4;

/** A pack's rating is for its board; another thickness by more is another rating, mm. Ours. */
export const RATED_BOARD_MM = 1;

/** Kept from a hole that did not hold, mm. Ours. */
export const SPOILED_MM = 20;

/** Kept from a mortar joint, mm. Ours. */
export const JOINT_MM = 30;

/** A toggle wants so much hollow beside its hole, mm. Ours. */
export const TOGGLE_ROOM_MM = 10;

/** How deep a bay is behind the board at least for a toggle, and how deep a hole through board goes beyond it, mm. Ours. */
export const THROUGH_BOARD_MM = 10;

/** A hole in masonry goes beyond its sleeve, mm. Ours. */
export const SLEEVE_OVERDRILL_MM = 10;

/** Kept from the edge of a backing, mm; and what is taken of backing whose edges nobody has marked. Ours. */
export const BACKING_EDGE_MM = 20;
export const BACKING_UNMARKED = 0.95;

/** Largest sets on hollow-wall anchors, mm: 55 in on up to four, 65 in on more. Common practice, two rules. */
export const ANCHOR_SET_MM = { few: 1397, many: 1651, fewCount: 4 } as const;

/** What is light, kg (20 lb), and how far out a light thing's weight is when nobody has said, mm. Common practice, ours. */
export const LIGHT_KG = 9.0718474;
export const LIGHT_OUT_MM = 100;

/** A stud that misses the slots by no more tempts somebody to drive the lag at an angle, mm. Ours. */
export const ANGLED_MM = 15;

/** Plates of boards are tried at every so many millimetres of the set's slide. */
export const PLATE_STEP_MM = 5;

/** Faces of the wall that differ by more under one plate have to be packed, mm. Ours. */
export const FACE_STEP_MM = 1;

/** Sheet steel of a plate, and depth of a stud, when nobody has measured them, mm. Ours; 2 x 4, common practice. */
export const PLATE_THICKNESS_MM = 3;
export const STUD_DEPTH_MM = 89;

/** Kept from where a drill met metal or something that nobody could name, mm. Ours. */
export const METAL_OFF_MM = 60;
