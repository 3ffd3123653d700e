import type { JoinKind } from '@/core/joins/joinKinds';
import type { GuideStep, School } from '@/core/joins/schools';
import type { Scene, SceneMaker } from './scene';
import { arborScene } from './scenes/arbor';
import { foldScene } from './scenes/fold';
import { longLoopScene, loopToLoopScene } from './scenes/loops';
import { plaitScene } from './scenes/plait';
import { sheathScene } from './scenes/sheath';
import { sleeveScene } from './scenes/sleeve';
import { slidingScene } from './scenes/sliding';
import { spliceScene } from './scenes/splice';
import { swivelScene } from './scenes/swivel';
import { tiedLoopScene } from './scenes/tiedLoop';
import { wireLoopScene } from './scenes/wireLoop';

const MAKERS: Readonly<Record<JoinKind, SceneMaker>> = {
  'arbor-sliding-knot': arborScene,
  'double-sliding-knot': slidingScene,
  'sheath-over-mono': sheathScene,
  'plaited-braid-to-leader': plaitScene,
  'wraps-over-fold': foldScene,
  'sleeve-splice': sleeveScene,
  'tied-loop': tiedLoopScene,
  'wire-loop': wireLoopScene,
  'loop-splice': spliceScene,
  'loop-to-loop': loopToLoopScene,
  'long-loop-twist': longLoopScene,
  'small-swivel': swivelScene,
};

/** What a step of a school looks like once it is done. */
export function stepScene(school: School, step: GuideStep): Scene {
  const at = school.steps.indexOf(step);
  const done = (id: string): boolean => school.steps.slice(0, at + 1).some((each) => each.id === id);
  return MAKERS[school.join](step, done, school);
}
