// the package's types are its source, which does not pass our strictness: integrator.d.ts says what is used of it
export { Solver } from 'odex';
