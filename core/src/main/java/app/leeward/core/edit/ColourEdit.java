package app.leeward.core.edit;

/** Changes the palette. */
public sealed interface ColourEdit extends Edit permits Recolour, MergeColours, NameSwatch {}
