package app.leeward.server.store;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** All revisions of all documents. Whole rows hold whole states, so everything that can be told without them asks for less. */
public interface Revisions extends JpaRepository<RevisionRow, RevisionKey> {
    /** One revision without what it holds. */
    interface Told {
        int getNumber();

        String getAction();

        String getMessage();

        String getAuthor();

        Instant getMadeAt();
    }

    /** Whether anything made after {@code base} leaves no room for an edit that touches {@code touched}. */
    @Query(
            nativeQuery = true,
            value =
                    """
                    select exists (select 1 from revision r where r.document = :document and r.number > :base
                      and (r.action <> 'EDIT' or r.touched is null or :everything = any(r.touched)
                           or r.touched && cast(:touched as text[])))""")
    boolean clash(UUID document, int base, String everything, String[] touched);

    /** The edit whose result a revision is, without fetching what the revision holds. */
    @Query("select r.standsAt from RevisionRow r where r.key.document = :document and r.key.number = :number")
    int standsAt(UUID document, int number);

    /** What a revision did, in words. */
    @Query("select r.message from RevisionRow r where r.key.document = :document and r.key.number = :number")
    String message(UUID document, int number);

    /** One revision, without what it holds. */
    @Query(
            """
            select r.key.number as number, cast(r.action as string) as action, r.message as message, r.author as author,
              r.madeAt as madeAt
            from RevisionRow r where r.key.document = :document and r.key.number = :number""")
    Told told(UUID document, int number);

    /** What was done after {@code after}, newest first. */
    @Query(
            """
            select r.key.number as number, cast(r.action as string) as action, r.message as message, r.author as author,
              r.madeAt as madeAt
            from RevisionRow r where r.key.document = :document and r.key.number > :after order by r.key.number desc""")
    Page<Told> told(UUID document, int after, Pageable page);

    /** What was done after {@code after} in words, newest first. */
    @Query("select r.message from RevisionRow r where r.key.document = :document and r.key.number > :after"
            + " order by r.key.number desc")
    List<String> messagesSince(UUID document, int after, Pageable page);
}
