/**
 * The demo: Maren Quill's art, her lines and their words, as open files under {@code resources/demo}. Start at {@link
 * app.leeward.demo.DemoFiles}. Invented data lives here and nowhere else.
 */
package app.leeward.demo;
