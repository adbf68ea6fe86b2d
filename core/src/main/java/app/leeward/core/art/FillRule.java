package app.leeward.core.art;

/** SVG's two ways of telling inside from outside. */
public enum FillRule {
    NONZERO,
    EVENODD
}
