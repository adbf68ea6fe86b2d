package app.leeward.core.speech;

/** One sound and when it is heard: from {@code start} to {@code end}, seconds into the recording. */
public record TimedPhone(Phone phone, double start, double end) {
    public TimedPhone {
        if (!(start >= 0 && end > start)) {
            throw new IllegalArgumentException(phone + " cannot last from " + start + " s to " + end + " s");
        }
    }
}
