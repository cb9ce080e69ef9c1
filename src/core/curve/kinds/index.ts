export { straight } from './straight';
export { smooth } from './smooth';
export { handles } from './handles';
