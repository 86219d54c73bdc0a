/** What is drawn of a shot without any aid. Apart from the rest, as previews and their worker alone load it. */
export { takenSceneOn } from './shoot/takenScene';
export { type SceneItem, sceneOn, type Shifts } from './motion/scene';
export { blurredScenes } from './motion/sceneBlur';
export { GROUNDS, type Ground, TONE_COLOURS } from './formats/sceneSvg';
export { type StrobeChoice, strobeScenes } from './formats/strobeSvg';
export { TICK_COLOUR, tickLines } from './formats/tickLines';
