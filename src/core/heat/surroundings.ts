import type { EvaporationTable } from './vapour'

/** What the surface of one body meets during one step. */
export interface Surroundings {
  /** Air, liquid or pan that gives heat by contact, °C. */
  air_c: number
  /** Walls that give heat by radiation, °C. */
  wall_c: number
  /** Contact coefficient, W/m²K. */
  convection_w_per_m2k: number
  /** How much of that moves air, and vapour with it: a pan gives heat where it touches, and lets none off there. */
  airy: number
  /** Share of the surface that touches at a time and takes all of that, and browns by it: 1 where air does. */
  touches: number
  /** Effective emissivity towards the walls, 0–1. */
  emissivity: number
  /** Factor on the wetness of the surface: 1 bare, near 0 wrapped or bagged. */
  evaporation: number
  /** Factor on browning: fat and sugar on the surface. */
  browning: number
  /** Vapour in the air. */
  vapour: EvaporationTable
}
