export { howItFalls, type Fall } from './fall.ts';
export { soapPlaces, type SoapPlace } from './places.ts';
