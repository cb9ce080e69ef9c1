import { DepthTexture, SRGBColorSpace, UnsignedIntType, WebGLRenderTarget } from 'three';

/** Samples of a pixel where edges are smooth. */
const SAMPLES = 4;

/** A picture kept beside the screen whose colours are those of the screen, with its depth. */
export function screenPicture(width: number, height: number, isSmooth: boolean): WebGLRenderTarget {
  const picture = new WebGLRenderTarget(width, height, {
    samples: isSmooth ? SAMPLES : 0,
    depthTexture: new DepthTexture(width, height, UnsignedIntType),
    colorSpace: SRGBColorSpace,
    internalFormat: 'RGBA8', // read as it was written
  });
  // What is drawn for a headset goes through tone mapping and into the colours of a screen, other targets do not.
  (picture as WebGLRenderTarget & { isXRRenderTarget?: boolean }).isXRRenderTarget = true;
  return picture;
}
