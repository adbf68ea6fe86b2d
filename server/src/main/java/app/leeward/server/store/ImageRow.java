package app.leeward.server.store;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** A picture made of pixels by its hash. */
@Entity
@Table(name = "image")
public class ImageRow {
    @Id
    private String hash;

    private byte[] png;

    protected ImageRow() {}

    public byte[] png() {
        return png;
    }
}
