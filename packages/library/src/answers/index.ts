// Questions of the contract, answered by core from the library: the server and the pages' worker share these.
export { answerDifferential } from './answerDifferential.js';
export { answerOptions } from './answerOptions.js';
export { UnknownName } from './resolve.js';
