/** Whether there is a graphics card: by what the browser says of whoever draws. */
const byHand = /swiftshader|llvmpipe|softpipe|software|basic render/i;

export function isDrawnBySoftware(gl: WebGLRenderingContext | WebGL2RenderingContext): boolean {
  const known = gl.getExtension("WEBGL_debug_renderer_info");
  return byHand.test(String(gl.getParameter(known ? known.UNMASKED_RENDERER_WEBGL : gl.RENDERER)));
}
