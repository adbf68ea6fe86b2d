/**
 * The doors between the page and core. {@link app.leeward.page.js.PageCore} opens a character; what it hands out answers with plain
 * objects in the form the server gives them, so that the page paints one or the other alike. The page's own types of these doors
 * stand in {@code web/src/rules/page-core.d.ts}.
 */
package app.leeward.page.js;
