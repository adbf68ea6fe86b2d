package app.leeward.core.solid;

/** From where a head is seen. Its sines and cosines are asked for once for every point of a head, so they are kept. */
public final class View {
    private final double yaw;
    private final double pitch;
    private final double sin;
    private final double cos;
    private final double sinPitch;
    private final double cosPitch;

    private View(double yaw, double pitch) {
        this.yaw = yaw;
        this.pitch = pitch;
        sin = Math.sin(Math.toRadians(Math.abs(yaw)));
        cos = Math.cos(Math.toRadians(yaw));
        sinPitch = Math.sin(Math.toRadians(pitch));
        cosPitch = Math.cos(Math.toRadians(pitch));
    }

    /**
     * @param yaw degrees; above 0 the face is turned to the right of the screen
     * @param pitch degrees; above 0 it is turned down
     */
    public static View of(double yaw, double pitch) {
        return new View(yaw, pitch);
    }

    public static View yaw(double degrees) {
        return new View(degrees, 0);
    }

    public static View pitch(double degrees) {
        return new View(0, degrees);
    }

    /** Degrees; above 0 the face is turned to the right of the screen. */
    public double yaw() {
        return yaw;
    }

    /** Degrees; above 0 it is turned down. */
    public double pitch() {
        return pitch;
    }

    /** 1 where the face goes to the right of the screen, else -1. */
    int way() {
        return yaw < 0 ? -1 : 1;
    }

    /** Of the yaw without its sign. */
    double sin() {
        return sin;
    }

    double cos() {
        return cos;
    }

    double sinPitch() {
        return sinPitch;
    }

    double cosPitch() {
        return cosPitch;
    }

    @Override
    public boolean equals(Object o) {
        return o instanceof View v && v.yaw == yaw && v.pitch == pitch;
    }

    @Override
    public int hashCode() {
        return Double.hashCode(yaw) * 31 + Double.hashCode(pitch);
    }

    @Override
    public String toString() {
        return "View[yaw=" + yaw + ", pitch=" + pitch + "]";
    }
}
