// What a garden wants today
export { agendaFor } from './agenda.js';
export type { Agenda, GardenToday, SampleStep } from './agenda.js';
