/** What is doubtful about a step that a coach should know before any run, and how to mend it, in a sentence. */
export const PROBLEM_SENTENCES = {
  'half-turn': 'This is nearly a half turn: noise would choose the way. Say left or right.',
  'no-distance-sensor':
    'This robot has no distance sensor, so this step can never end. Use a drive by the encoders.',
  'nothing-ahead': 'There is nothing ahead to measure the distance to.',
  'already-there': 'The distance is already that short here: the robot would not move.',
  askew:
    'It comes too askew at what it would press against here: turn to within 20° of it before it squares up.',
  'held-on-one-side':
    'The wall ends before the robot’s middle here: it would turn about its end. Square up where the wall is wider.',
  'pressed-briefly':
    'It presses too briefly here, as was measured: over a twentieth of the heading’s error would be left.',
  'no-such-sensor':
    'This robot has no such sensor, so this step fails: name one that it has, or note it on the Robot page.',
  'no-such-motor':
    'This robot has no such motor for an arm, so nothing moves: name one that it has, or note it on the Robot page.',
  'waits-all-the-time':
    'Nothing that is planned changes this reading here: it waits the whole time, unless something else moves.',
  'no-line-ahead':
    'So many lines do not lie ahead of its light sensor here: it would drive until its time is over.',
  'unknown-colour':
    'Nobody has read one of these colours, and it is no word that every sensor knows: read it on the Bench, or call it red, green, blue, yellow, black or white.',
  'unknown-position':
    'No position of that name was measured of this arm: name one that was, or give an angle.',
  'nowhere-to-move': 'It is not said where the arm is to go: a position, an angle or a time.',
  'already-so':
    'This is so from where it begins: it would end at once. Ask for the other side, or drive a little before.',
  'never-ends': 'Nothing ends this here: it would go on until its time is over.',
  'nothing-to-touch': 'It meets nothing here: it would drive until its time is over.',
  'meets-wall': 'It runs into a wall on the way.',
  'heading-not-here':
    'The plan looks another way here: every later heading would be off by the difference.',
  'answers-otherwise':
    'As it is planned, the robot would find it the other way here: the plan goes on as is marked.',
  'off-table': 'This ends off the table.',
  'unknown-part': 'This mission has no such part on the table.',
  'unknown-mission': 'This mission is no longer on the table.',
};

export type PlanProblem = keyof typeof PROBLEM_SENTENCES;
