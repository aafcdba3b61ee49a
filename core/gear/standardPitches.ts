/**
 * Standard pitches, as data.
 * Modules from 1 up: ISO 54, series I and II. Below 1: common fine modules (from memory, DIN 780).
 * Diametral pitches: the handbook's usual list (from memory).
 */
export const MODULES_SERIES_1 = [
  '1', '1.25', '1.5', '2', '2.5', '3', '4', '5', '6', '8', '10', '12', '16', '20', '25', '32', '40', '50',
] as const; // prettier-ignore

export const MODULES_SERIES_2 = [
  '1.125', '1.375', '1.75', '2.25', '2.75', '3.5', '4.5', '5.5', '6.5', '7', '9', '11', '14', '18', '22', '28',
  '36', '45',
] as const; // prettier-ignore

export const MODULES_FINE = [
  '0.1', '0.12', '0.15', '0.2', '0.25', '0.3', '0.4', '0.5', '0.6', '0.7', '0.75', '0.8', '0.9',
] as const; // prettier-ignore

export const DIAMETRAL_PITCHES = [
  '1', '1.25', '1.5', '1.75', '2', '2.25', '2.5', '2.75', '3', '3.5', '4', '5', '6', '7', '8', '9', '10', '11', '12',
  '14', '16', '18', '20', '22', '24', '26', '28', '30', '32', '36', '40', '48', '64', '72', '80', '96', '120',
] as const; // prettier-ignore
