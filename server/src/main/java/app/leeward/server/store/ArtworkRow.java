package app.leeward.server.store;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** Artwork by its hash. */
@Entity
@Table(name = "artwork")
public class ArtworkRow {
    @Id
    private String hash;

    private String shapes;

    protected ArtworkRow() {}

    public String hash() {
        return hash;
    }

    public String shapes() {
        return shapes;
    }
}
