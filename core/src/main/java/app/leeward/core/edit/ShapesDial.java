package app.leeward.core.edit;

/** Edits by which a rigger shapes what a dial does; it is kept when the dial is made anew. */
interface ShapesDial {}
