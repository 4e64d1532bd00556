export { withHung } from './edit'
export { type Hung, hungOn } from './hung'
export { moved } from './pose'
