package app.leeward.server.store;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;

/** A document the demo made, by the name the demo knows it by. Ids are drawn anew on every installation. */
@Entity
@Table(name = "demo_document")
public class DemoDocumentRow {
    @Id
    private String name;

    private UUID document;

    protected DemoDocumentRow() {}

    public DemoDocumentRow(String name, UUID document) {
        this.name = name;
        this.document = document;
    }

    public UUID document() {
        return document;
    }
}
