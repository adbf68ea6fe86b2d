package app.leeward.server.store;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

/** The queue of readings; long is counted in seconds of sound. */
public interface Readings extends JpaRepository<ReadingRow, UUID>, WorkQueue {
    @Modifying
    @Query(nativeQuery = true, value = "update reading set wav = :wav where id = :id")
    void keepWav(UUID id, byte[] wav);

    /** The recording, in a list of one; as bytes alone they would be converted one by one. */
    @Query(nativeQuery = true, value = "select wav from reading where id = :id")
    List<byte[]> wav(UUID id);

    /** Those of a character that have not ended, and what scripts left to be told. */
    @Query("select r from ReadingRow r where r.character = :character and (r.state in (WAITING, READING)"
            + " or r.kind = SCRIPT and r.state in (DONE, REFUSED) or r.partOf is not null and r.state = REFUSED)"
            + " order by r.askedAt, r.cutFrom")
    List<ReadingRow> unfinished(UUID character);

    /** What came of a script. */
    @Modifying
    @Query(nativeQuery = true, value = "update reading set told = cast(:told as jsonb) where id = :id")
    void tell(UUID id, String told);

    /** One that has ended, or a script with all its lines, is told no more. */
    @Modifying
    @Query(
            nativeQuery = true,
            value =
                    "delete from reading where (id = :id or part_of = :id) and state in ('DONE', 'REFUSED', 'CANCELLED')")
    int dismiss(UUID id);

    /** The lines of a script that are still to be read. */
    @Query(
            "select r from ReadingRow r where r.partOf = :script and r.state in (WAITING, READING) order by r.askedAt, r.cutFrom")
    List<ReadingRow> linesOf(UUID script);

    @Query("select count(r) from ReadingRow r where r.state in (WAITING, READING) and r.partOf is null")
    long countUnfinished();

    @Query(
            "select count(r) from ReadingRow r where r.state in (WAITING, READING) and r.partOf is null and r.client like concat(:address, ' %')")
    long countUnfinishedFrom(String address);

    @Query("select count(r) from ReadingRow r where r.state = WAITING and r.askedAt < :askedAt")
    long waitingBefore(Instant askedAt);

    @Override
    @Query(nativeQuery = true, value = "select 1 from (select pg_advisory_xact_lock(7310)) held")
    int holdTheQueue();

    @Override
    @Query(
            nativeQuery = true,
            value =
                    """
                    update reading set state = 'READING', taken_by = :by where id = (
                      select w.id from reading w
                      where w.state = 'WAITING' and (w.seconds < :longer
                        or not exists (select 1 from reading r where r.state = 'READING' and r.seconds >= :longer))
                      order by
                        (select count(*) from reading r where r.state = 'READING' and r.client = w.client),
                        coalesce((select max(r.ended_at) from reading r where r.client = w.client), 'epoch'::timestamptz),
                        w.asked_at, w.cut_from
                      limit 1)
                    returning id""")
    Optional<UUID> take(String by, double longer);

    @Override
    @Modifying
    @Query(
            nativeQuery = true,
            value =
                    "update reading set state = 'WAITING', taken_by = null, share = 0 where state = 'READING' and taken_by = :by")
    int putBack(String by);

    @Override
    @Modifying
    @Query(
            nativeQuery = true,
            value = "update reading set share = :share where id = :id and state = 'READING' and taken_by = :by")
    int reached(UUID id, String by, double share);

    @Override
    @Modifying
    @Query(
            nativeQuery = true,
            value =
                    """
                    update reading set state = :state, share = 1, wav = null, ended_at = now(),
                      problem = cast(:problem as jsonb)
                    where id = :id and state = 'READING' and taken_by = :by""")
    int end(UUID id, String by, String state, String problem);

    /** @return 0 when it had ended already */
    @Modifying
    @Query(
            nativeQuery = true,
            value =
                    "update reading set state = 'CANCELLED', wav = null, ended_at = now() where id = :id and state in ('WAITING', 'READING')")
    int cancel(UUID id);

    /** Ended ones are told to whoever asked, for a while. */
    @Modifying
    @Query(nativeQuery = true, value = "delete from reading where ended_at < :before")
    int forget(Instant before);
}
