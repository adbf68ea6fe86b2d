package app.leeward.server.store;

import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** All revisions of all documents. */
public interface Revisions extends JpaRepository<RevisionRow, RevisionKey> {
    @Query(
            "select r from RevisionRow r where r.key.document = :document and r.key.number > :number order by r.key.number")
    List<RevisionRow> since(UUID document, int number);

    /** The edit whose result a revision is, without fetching what the revision holds. */
    @Query("select r.standsAt from RevisionRow r where r.key.document = :document and r.key.number = :number")
    int standsAt(UUID document, int number);

    @Query("select r from RevisionRow r where r.key.document = :document order by r.key.number desc")
    Page<RevisionRow> newestFirst(UUID document, Pageable page);
}
