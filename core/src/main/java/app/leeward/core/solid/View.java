package app.leeward.core.solid;

/**
 * From where a head is seen.
 *
 * @param yaw degrees; above 0 the face is turned to the right of the screen
 * @param pitch degrees; above 0 it is turned down
 */
public record View(double yaw, double pitch) {
    public static View yaw(double degrees) {
        return new View(degrees, 0);
    }

    public static View pitch(double degrees) {
        return new View(0, degrees);
    }

    /** 1 where the face goes to the right of the screen, else -1. */
    int way() {
        return yaw < 0 ? -1 : 1;
    }

    /** Of the yaw without its sign. */
    double sin() {
        return Math.sin(Math.toRadians(Math.abs(yaw)));
    }

    double cos() {
        return Math.cos(Math.toRadians(yaw));
    }

    double sinPitch() {
        return Math.sin(Math.toRadians(pitch));
    }

    double cosPitch() {
        return Math.cos(Math.toRadians(pitch));
    }
}
