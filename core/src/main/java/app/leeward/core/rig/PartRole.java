package app.leeward.core.rig;

/** What a part is for. Decides what it follows, what masks it and where it turns, unless the rigger says otherwise. */
public enum PartRole {
    TORSO("torso", null),
    NECK("neck", TORSO),
    COLLAR("collar", TORSO),
    HEAD("head", NECK),
    /** A whole sub-face: its pieces follow it, and only one view of a head is shown at a time. */
    VIEW("view", HEAD),
    FACE("face skin", HEAD),
    /** The line round the skin, when it is a layer of its own. */
    FACE_LINE("head line", HEAD),
    EAR("ear", HEAD),
    INNER_EAR("inner ear", EAR),
    CHEEK("cheek", HEAD),
    FRECKLES("freckles", HEAD),
    /** What stands out from the face and bears nose and mouth. */
    MUZZLE("muzzle", HEAD),
    WHISKERS("whiskers", HEAD),
    NOSE("nose", HEAD),
    MOUTH("mouth", HEAD),
    BEARD("beard", HEAD),
    MOUSTACHE("moustache", HEAD),
    BROW("brow", HEAD),
    EYE("eye", HEAD),
    WHITE("eye white", EYE),
    IRIS("iris", EYE),
    PUPIL("pupil", EYE),
    HIGHLIGHT("highlight", EYE),
    UPPER_LID("upper lid", EYE),
    LOWER_LID("lower lid", EYE),
    LASHES("lashes", EYE),
    /** Drawings of the eye as it shuts, shown in its place while it blinks. */
    BLINK("blink", EYE),
    EYE_OUTLINE("eye outline", EYE),
    FRINGE("fringe", HEAD),
    SIDE_HAIR("side hair", HEAD),
    BACK_HAIR("back hair", HEAD),
    EXTRA_HAIR("extra hair", HEAD),
    HORN("horn", HEAD),
    ANTENNA("antenna", HEAD),
    CAP("cap", HEAD),
    CAP_BAND("cap band", CAP),
    CAP_PEAK("cap peak", CAP),
    CAP_BADGE("cap badge", CAP),
    GLASSES("glasses", HEAD),
    LENS("lens", GLASSES),
    UPPER_ARM("upper arm", TORSO),
    FOREARM("forearm", UPPER_ARM),
    HAND("hand", FOREARM),
    HIPS("hips", TORSO),
    THIGH("thigh", HIPS),
    SHIN("shin", THIGH),
    FOOT("foot", SHIN),
    TAIL("tail", HIPS),
    PROP("prop", null),
    OTHER("other", null);

    private final String words;
    private final PartRole follows;

    PartRole(String words, PartRole follows) {
        this.words = words;
        this.follows = follows;
    }

    /** The role in a rigger's words. */
    public String words() {
        return words;
    }

    /** What a part of this role hangs on; empty for roles at the foot of the tree. */
    public java.util.Optional<PartRole> follows() {
        return java.util.Optional.ofNullable(follows);
    }

    /** Whether it is that role or hangs, by its role, on a part of it. */
    public boolean belongsTo(PartRole whole) {
        return this == whole || follows != null && follows.belongsTo(whole);
    }

    /** Whether a figure has two of it, one on each side. */
    public boolean inPairs() {
        return switch (this) {
            case EYE,
                    EAR,
                    INNER_EAR,
                    CHEEK,
                    BROW,
                    SIDE_HAIR,
                    EXTRA_HAIR,
                    WHISKERS,
                    HORN,
                    ANTENNA,
                    LENS,
                    UPPER_ARM,
                    FOREARM,
                    HAND,
                    THIGH,
                    SHIN,
                    FOOT -> true;
            default -> follows == EYE;
        };
    }

    /** Pieces that show only inside the white of their eye. */
    public boolean insideEye() {
        return this == IRIS || this == PUPIL || this == HIGHLIGHT || this == UPPER_LID || this == LOWER_LID;
    }

    /** Features that the edge of the face cuts off; the nose and the ears stand proud of it. */
    public boolean cutByFace() {
        return this == WHITE
                || this == EYE_OUTLINE
                || this == BROW
                || this == MOUTH
                || this == CHEEK
                || this == FRECKLES;
    }
}
