export { default } from '../../../embed/behaviours/turn';
