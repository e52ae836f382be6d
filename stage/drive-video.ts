import { expected } from '#core/values'
import type { ClipMoment } from '#core/timing'

/** Further away than this, seconds, a film jumps; nearer, it catches up unnoticed. */
const jump = 0.15
/** How much faster or slower it may run to catch up. */
const nudge = 0.06
/** Two places in a film nearer than this, seconds, are one picture. */
const same = 1 / 500

/** A browser that will not play yet, or was told something else meanwhile, is asked again with the next frame. */
const playable = expected('NotAllowedError', 'AbortError', 'NotSupportedError')

/**
 * Brings a video to where its clip is. `live`: time runs by itself, so it plays, kept in step by running a little faster or
 * slower; else it is sought to its place and stands.
 */
export function driveVideo(video: HTMLVideoElement, clip: ClipMoment, how: { live: boolean; speed: number; volume: number }) {
  if (!how.live || !clip.running) {
    if (!video.paused) video.pause()
    const place = Number.isFinite(video.duration) ? Math.min(clip.at, Math.max(0, video.duration - same)) : clip.at
    if (Math.abs(video.currentTime - place) > same) video.currentTime = place
    return
  }
  video.volume = how.volume
  video.muted = how.volume === 0
  const behind = clip.at - video.currentTime
  if (Math.abs(behind) > jump) video.currentTime = clip.at
  video.playbackRate = how.speed * (Math.abs(behind) > jump ? 1 : 1 + Math.min(nudge, Math.max(-nudge, behind)))
  if (video.paused) {
    void video.play().catch((error: unknown) => {
      playable(error)
      // Where nobody has touched the page yet, a browser lets films play without their sound only.
      video.muted = true
      void video.play().catch(playable)
    })
  }
}
