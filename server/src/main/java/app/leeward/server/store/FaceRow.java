package app.leeward.server.store;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;

/** The picture of a character's head as it was drawn last. */
@Entity
@Table(name = "face")
public class FaceRow {
    @Id
    private UUID character;

    private int revision;
    private int form;
    private byte[] png;

    protected FaceRow() {}

    /** Of the character. */
    public int revision() {
        return revision;
    }

    public byte[] png() {
        return png;
    }
}
