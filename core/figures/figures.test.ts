import { describe, expect, it } from 'vitest'
import { figureLookSchema, type FigureLook } from '../deck'
import { houseTheme } from '../layouts'
import { bodies, drawFigure, figureLook, poses, solve, usualLook } from './index'

const { palette } = houseTheme
const numbers = (d: string) => (d.match(/-?\d+(?:\.\d+)?/g) ?? []).map(Number)

describe('a figure', () => {
  it('has at least a dozen poses, each with a name of its own', () => {
    expect(poses.length).toBeGreaterThanOrEqual(12)
    expect(new Set(poses.map(pose => pose.name)).size).toBe(poses.length)
  })

  it.each(poses.map(pose => [pose.name, pose] as const))('%s: bones keep their lengths, and the lower foot stands on the ground', (_, pose) => {
    for (const body of Object.values(bodies)) {
      const joints = solve(pose, body)
      const length = (a: { x: number, y: number }, b: { x: number, y: number }) => Math.hypot(a.x - b.x, a.y - b.y)
      for (const side of ['back', 'front'] as const) {
        expect(length(joints.hips[side], joints.knees[side])).toBeCloseTo(body.thigh, 6)
        expect(length(joints.knees[side], joints.feet[side])).toBeCloseTo(body.shin, 6)
        expect(length(joints.shoulders[side], joints.elbows[side])).toBeCloseTo(body.upper, 6)
        expect(length(joints.elbows[side], joints.hands[side])).toBeCloseTo(body.fore, 6)
      }
      expect(Math.max(joints.feet.back.y, joints.feet.front.y)).toBeCloseTo(0, 6)
      expect(joints.head.y).toBeLessThan(joints.hip.y)
    }
  })

  it('stays in one view in every pose and body, so that a change of pose does not change its size', () => {
    for (const pose of poses) {
      for (const body of Object.keys(bodies) as FigureLook['body'][]) {
        const { parts, view } = drawFigure({ look: { ...usualLook, body }, pose: pose.name }, palette)
        for (const joint of Object.values(solve(pose, bodies[body])).flatMap(value => (typeof value === 'object' ? ('x' in value ? [value] : Object.values(value)) : []))) {
          expect(joint.x).toBeGreaterThan(view[0])
          expect(joint.x).toBeLessThan(view[0] + view[2])
          expect(joint.y).toBeGreaterThan(view[1])
        }
        for (const part of parts) expect(numbers(part.d).every(Number.isFinite), `${pose.name} ${part.name}`).toBe(true)
      }
    }
  })

  it('wears the colours of the roles, and follows them', () => {
    const fillOf = (look: FigureLook, name: string) => drawFigure({ look, pose: 'stand' }, palette).parts.find(part => part.name === name)!.fill
    expect(fillOf(usualLook, 'torso')).toBe(palette.accent1)
    expect(fillOf({ ...usualLook, top: { style: 'coat', color: { hex: '#123456' } } }, 'torso')).toBe('#123456')
    expect(figureLookSchema.parse(usualLook)).toEqual(usualLook)
  })

  it('that stands for the speaker looks as the deck says, whatever it wore', () => {
    const speaker = { ...usualLook, body: 'slim' as const }
    expect(figureLook({ speaker: true, look: usualLook }, { speaker })).toBe(speaker)
    expect(figureLook({ look: speaker }, {})).toBe(speaker)
    expect(figureLook({}, { speaker })).toBe(usualLook)
  })
})
