/**
 * SVG in and out. Start at {@link app.leeward.formats.svg.SvgReader} for art and {@link
 * app.leeward.formats.svg.SvgWriter} for frames.
 */
package app.leeward.formats.svg;
