/**
 * What pages of ours may do (Content Security Policy, level 3): everything from this very server, nothing from elsewhere, no script in
 * a page's own text but those whose sums are named. Styles are written into elements by the stage, frame by frame.
 */
export const contentPolicy = (scripts: readonly string[] = []) =>
  [
    "default-src 'self'",
    `script-src 'self'${scripts.map(sum => ` '${sum}'`).join('')}`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "media-src 'self' data: blob:",
    "font-src 'self' data: blob:",
    "connect-src 'self' data: blob:",
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
    "frame-src 'none'",
  ].join('; ')

/** On every answer, whatever it is. */
export const answerHeaders = {
  'content-security-policy': contentPolicy(),
  'x-content-type-options': 'nosniff',
  'x-frame-options': 'DENY',
  'referrer-policy': 'no-referrer',
  'permissions-policy':
    'camera=(self), microphone=(self), fullscreen=(self), autoplay=(self), display-capture=(), geolocation=(), payment=(), ' +
    'usb=(), serial=(), midi=(), interest-cohort=()',
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
}
