/** What works on the points of shapes, and what puts shapes together, come when they are first needed. */

export const shapePoints = () => import('./point-work')
export const pointsLayer = () => import('./points-layer')
export const combining = () => import('../../core/arrange/combine')
/** What makes outlines of letters. */
export const lettering = () => import('../../core/arrange/text-outline')
export const masking = () => import('./masking')
