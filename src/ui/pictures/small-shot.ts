import {
  Color,
  FramebufferTexture,
  LinearFilter,
  Mesh,
  NoBlending,
  OrthographicCamera,
  PlaneGeometry,
  Scene,
  ShaderMaterial,
  Vector2,
  WebGLRenderTarget,
  type WebGLRenderer,
} from 'three';
import type { Picture } from '../../core/mesh/draw-mesh';

/** Places along a side of a pixel at which the large picture is looked at; each is a mean of four of its pixels. */
const LOOKS = 4;

/**
 * What was drawn last, cut to a shape and made small, over a colour. All of it is done by the graphics and fetched when it is done: the page waits
 * for nothing.
 */
export async function smallShot(gl: WebGLRenderer, width: number, height: number, behind: string): Promise<Picture> {
  const size = gl.getDrawingBufferSize(new Vector2());
  const seen = new FramebufferTexture(size.x, size.y);
  seen.minFilter = seen.magFilter = LinearFilter;
  const wide = size.x / size.y > width / height;
  const material = new ShaderMaterial({
    uniforms: {
      seen: { value: seen },
      behind: { value: new Color().setStyle(behind, '') }, // as it is on the screen
      part: { value: wide ? new Vector2(((size.y / size.x) * width) / height, 1) : new Vector2(1, ((size.x / size.y) * height) / width) }, // prettier-ignore
      pixel: { value: new Vector2(1 / width, 1 / height) },
    },
    vertexShader: 'varying vec2 at; void main() { at = uv; gl_Position = vec4(position.xy, 0.0, 1.0); }',
    fragmentShader: `
      uniform sampler2D seen;
      uniform vec3 behind;
      uniform vec2 part;
      uniform vec2 pixel;
      varying vec2 at;
      void main() {
        vec4 sum = vec4(0.0);
        for (int i = 0; i < ${LOOKS}; i++)
          for (int j = 0; j < ${LOOKS}; j++) {
            vec2 own = at + (vec2(float(i), float(j)) + 0.5) / ${LOOKS}.0 * pixel - 0.5 * pixel;
            own.y = 1.0 - own.y; // pixels are fetched from below up
            sum += texture2D(seen, 0.5 + (own - 0.5) * part);
          }
        sum /= ${LOOKS * LOOKS}.0;
        gl_FragColor = vec4(sum.rgb + behind * (1.0 - sum.a), 1.0);
      }`,
    blending: NoBlending,
    depthTest: false,
    toneMapped: false,
  });
  const plane = new PlaneGeometry(2, 2);
  const scene = new Scene().add(new Mesh(plane, material));
  const small = new WebGLRenderTarget(width, height, { depthBuffer: false });
  const before = gl.getRenderTarget();
  const shadows = gl.shadowMap.autoUpdate;
  try {
    gl.setRenderTarget(null);
    gl.copyFramebufferToTexture(seen);
    gl.setRenderTarget(small);
    gl.shadowMap.autoUpdate = false;
    gl.render(scene, new OrthographicCamera(-1, 1, 1, -1, 0, 1));
    gl.shadowMap.autoUpdate = shadows;
    gl.setRenderTarget(before);
    const data = new Uint8ClampedArray(width * height * 4);
    await gl.readRenderTargetPixelsAsync(small, 0, 0, width, height, new Uint8Array(data.buffer));
    return { width, height, data };
  } finally {
    for (const made of [seen, material, plane, small]) made.dispose();
  }
}
