export { readColumns, writeColumns, type Column } from './columns.ts';
