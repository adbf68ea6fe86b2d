/**
 * A character that is posed and spoken with in web pages that are not ours: {@link app.leeward.formats.live.LiveFace} writes the custom
 * element, the character as one file, its lines' sound and a page that shows how. docs/live-face.md describes it.
 */
package app.leeward.formats.live;
