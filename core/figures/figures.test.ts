import { describe, expect, it } from 'vitest'
import { figureLookSchema, type FigureLook } from '../model'
import { houseTheme } from '../layouts'
import {
  bodies,
  drawFigure,
  faceAt,
  figureLook,
  gestureNamed,
  gestures,
  poseNamed,
  poses,
  restingFace,
  solve,
  usualLook,
  walking,
  type Pose,
} from './index'

const { palette } = houseTheme
const numbers = (d: string) => (d.match(/-?\d+(?:\.\d+)?/g) ?? []).map(Number)

describe('a figure', () => {
  it('has at least a dozen poses, each with a name of its own', () => {
    expect(poses.length).toBeGreaterThanOrEqual(12)
    expect(new Set(poses.map(pose => pose.name)).size).toBe(poses.length)
  })

  it.each(poses.map(pose => [pose.name, pose] as const))(
    '%s: bones keep their lengths, and the lower foot stands on the ground',
    (_, pose) => {
      for (const body of Object.values(bodies)) {
        const joints = solve(pose, body)
        const length = (a: { x: number; y: number }, b: { x: number; y: number }) => Math.hypot(a.x - b.x, a.y - b.y)
        for (const side of ['back', 'front'] as const) {
          expect(length(joints.hips[side], joints.knees[side])).toBeCloseTo(body.thigh, 6)
          expect(length(joints.knees[side], joints.feet[side])).toBeCloseTo(body.shin, 6)
          expect(length(joints.shoulders[side], joints.elbows[side])).toBeCloseTo(body.upper, 6)
          expect(length(joints.elbows[side], joints.hands[side])).toBeCloseTo(body.fore, 6)
        }
        expect(Math.max(joints.feet.back.y, joints.feet.front.y)).toBeCloseTo(0, 6)
        expect(joints.head.y).toBeLessThan(joints.hip.y)
      }
    },
  )

  it('stays in one view in every pose and body, so that a change of pose does not change its size', () => {
    for (const pose of poses) {
      for (const body of Object.keys(bodies) as FigureLook['body'][]) {
        const { parts, view } = drawFigure({ look: { ...usualLook, body }, pose: pose.name }, palette)
        for (const joint of Object.values(solve(pose, bodies[body])).flatMap(value =>
          typeof value === 'object' ? ('x' in value ? [value] : Object.values(value)) : [],
        )) {
          expect(joint.x).toBeGreaterThan(view[0])
          expect(joint.x).toBeLessThan(view[0] + view[2])
          expect(joint.y).toBeGreaterThan(view[1])
        }
        for (const part of parts) expect(numbers(part.d).every(Number.isFinite), `${pose.name} ${part.name}`).toBe(true)
      }
    }
  })

  it('wears the colours of the roles, and follows them', () => {
    const fillOf = (look: FigureLook, name: string) =>
      drawFigure({ look, pose: 'stand' }, palette).parts.find(part => part.name === name)!.fill
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

describe('a gesture', () => {
  it.each(gestures.map(gesture => [gesture.name, gesture] as const))(
    '%s: begins and ends as the figure stood, in whatever pose, and never leaps',
    (_, gesture) => {
      for (const standing of poses) {
        const angles = (pose: Pose) => [
          pose.lean ?? 0,
          pose.nod ?? 0,
          ...pose.arms.back,
          ...pose.arms.front,
          ...pose.legs.back,
          ...pose.legs.front,
        ]
        for (const end of [0, 1]) {
          angles(gesture.at(standing, end)).forEach((angle, index) => expect(angle).toBeCloseTo(angles(standing)[index]!, 6))
          expect(gesture.lift?.(end) ?? 0).toBeCloseTo(0, 6)
        }
        const steps = Array.from({ length: 401 }, (__, index) => angles(gesture.at(standing, index / 400)))
        // Who already stands so, has nothing to do.
        if (standing.name !== gesture.name)
          expect(steps.some(step => step.some((angle, index) => Math.abs(angle - angles(standing)[index]!) > 2)) || !!gesture.lift).toBe(
            true,
          )
        // No joint turns by more than 15 degrees in a 400th of the gesture.
        steps.slice(1).forEach((step, at) => step.forEach((angle, index) => expect(Math.abs(angle - steps[at]![index]!)).toBeLessThan(15)))
      }
    },
  )

  it('gives every figure one that points, waves, nods, thinks, shrugs, cheers and holds something up', () => {
    for (const name of ['point', 'wave', 'nod', 'think', 'shrug', 'cheer', 'hold-up']) expect(gestureNamed(name), name).toBeDefined()
    expect(gestureNamed('no such')).toBeUndefined()
  })

  it('of walking sets one foot before the other and bends each knee only backwards', () => {
    for (let strides = -2; strides <= 2; strides += 0.05) {
      const { legs } = walking(poseNamed('stand'), strides)
      for (const [upper, lower] of [legs.back, legs.front]) expect(lower).toBeLessThanOrEqual(upper)
      expect(Math.sign(legs.back[0]) * Math.sign(legs.front[0])).toBeLessThanOrEqual(0)
    }
  })
})

describe('a face', () => {
  it('is at rest in silence, opens its mouth as it is loud, and blinks once when a pause begins', () => {
    expect(faceAt(() => 0)).toEqual(restingFace)
    expect(faceAt(() => 1)).toMatchObject({ mouth: 1, eyes: 1 })
    expect(faceAt(() => 0.5).mouth).toBeLessThan(faceAt(() => 0.9).mouth)
    // Silent since second 2.
    const eyes = Array.from({ length: 60 }, (_, index) => faceAt(before => (1.9 + index / 100 - before < 2 ? 0.8 : 0)).eyes)
    expect(Math.min(...eyes)).toBeLessThan(0.3)
    expect(eyes[0]).toBe(1)
    expect(eyes.at(-1)).toBe(1)
    const open = drawFigure({ look: usualLook, pose: 'stand', face: { mouth: 1, brows: 1, eyes: 0 } }, palette).parts
    expect(open.find(part => part.name === 'mouth')!.fill).not.toBe('none')
  })
})
