package app.leeward.server.store;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** A recording by its hash, as it was uploaded. */
@Entity
@Table(name = "sound")
public class SoundRow {
    @Id
    private String hash;

    private byte[] wav;
    private double seconds;

    protected SoundRow() {}

    public byte[] wav() {
        return wav;
    }

    public double seconds() {
        return seconds;
    }
}
