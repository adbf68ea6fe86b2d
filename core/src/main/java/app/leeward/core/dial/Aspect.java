package app.leeward.core.dial;

import app.leeward.core.art.Bend;

/** What a stop can do to a part, as a rigger tells it apart and takes it back. */
public enum Aspect {
    PLACE {
        @Override
        Offset without(Offset o) {
            return new Offset(0, 0, o.rotation(), o.scaleX(), o.scaleY(), o.skewX(), o.opacity(), o.bend());
        }
    },
    TURN {
        @Override
        Offset without(Offset o) {
            return new Offset(o.x(), o.y(), 0, o.scaleX(), o.scaleY(), o.skewX(), o.opacity(), o.bend());
        }
    },
    SIZE {
        @Override
        Offset without(Offset o) {
            return new Offset(o.x(), o.y(), o.rotation(), 1, 1, o.skewX(), o.opacity(), o.bend());
        }
    },
    SLANT {
        @Override
        Offset without(Offset o) {
            return new Offset(o.x(), o.y(), o.rotation(), o.scaleX(), o.scaleY(), 0, o.opacity(), o.bend());
        }
    },
    OPACITY {
        @Override
        Offset without(Offset o) {
            return new Offset(o.x(), o.y(), o.rotation(), o.scaleX(), o.scaleY(), o.skewX(), 1, o.bend());
        }
    },
    BEND {
        @Override
        Offset without(Offset o) {
            return o.with(Bend.NONE);
        }
    },
    /** How outlines are reshaped point by point, which no offset says. */
    SHAPE {
        @Override
        Offset without(Offset o) {
            return o;
        }
    },
    /** Where it lies in the stack, which no offset says. */
    ORDER {
        @Override
        Offset without(Offset o) {
            return o;
        }
    },
    DRAWING {
        @Override
        Offset without(Offset o) {
            return o;
        }
    };

    abstract Offset without(Offset o);

    /** Whether an offset does anything of this kind. */
    public boolean in(Offset o) {
        return !without(o).equals(o);
    }
}
