/** Text that people type and files bring along: what of it can be kept. Uses nothing else of the core. */
package app.leeward.core.text;
