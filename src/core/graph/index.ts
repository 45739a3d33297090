/** What is made from what, in prices: a change follows only what depends on it. Knows no kitchen. */
export { CostGraph, GraphError, type GraphNode } from './graph';
