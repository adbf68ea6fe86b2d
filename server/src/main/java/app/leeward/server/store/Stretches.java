package app.leeward.server.store;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

/** Frames of exports, shared out in stretches to whoever draws. */
public interface Stretches extends Repository<ExportRow, UUID> {
    /** Says which stretches there are; what is there already stays. */
    @Modifying
    @Query(
            nativeQuery = true,
            value =
                    """
                    insert into export_stretch (export, width, kind, first, last)
                    select :export, :width, :kind, f, least(f + :stretch, :frames)
                    from generate_series(0, :frames - 1, :stretch) f
                    on conflict do nothing""")
    int lay(UUID export, int width, String kind, int frames, int stretch);

    /** A stretch that somebody is to draw. */
    interface Wanted {
        UUID getExport();

        int getWidth();

        String getKind();

        int getFirst();

        int getLast();
    }

    /**
     * Takes a stretch nobody draws, or that somebody began and gave up, of any export under way; the earliest.
     *
     * @param patience how many seconds drawing one may take before it counts as given up
     */
    @Query(
            nativeQuery = true,
            value =
                    """
                    update export_stretch s set taken_at = now()
                    from (
                      select t.export, t.width, t.kind, t.first from export_stretch t join export e on e.id = t.export
                      where e.state = 'MAKING' and t.bytes is null
                        and (t.taken_at is null or t.taken_at < now() - make_interval(secs => :patience))
                      order by e.asked_at, t.first limit 1 for update of t skip locked) w
                    where s.export = w.export and s.width = w.width and s.kind = w.kind and s.first = w.first
                    returning s.export, s.width, s.kind, s.first, s.last""")
    Optional<Wanted> takeAny(double patience);

    /** Takes this very stretch, when nobody draws it. @return 0 when somebody does, or it is there */
    @Modifying
    @Query(
            nativeQuery = true,
            value =
                    """
                    update export_stretch set taken_at = now()
                    where export = :export and width = :width and kind = :kind and first = :first and bytes is null
                      and (taken_at is null or taken_at < now() - make_interval(secs => :patience))""")
    int take(UUID export, int width, String kind, int first, double patience);

    @Modifying
    @Query(
            nativeQuery = true,
            value =
                    """
                    update export_stretch set bytes = :bytes
                    where export = :export and width = :width and kind = :kind and first = :first""")
    int put(UUID export, int width, String kind, int first, byte[] bytes);

    /** What was drawn, in a list of one; as bytes alone they would be converted one by one. Empty while it is not. */
    @Query(
            nativeQuery = true,
            value =
                    """
                    select bytes from export_stretch
                    where export = :export and width = :width and kind = :kind and first = :first and bytes is not null""")
    List<byte[]> drawn(UUID export, int width, String kind, int first);

    @Modifying
    @Query(nativeQuery = true, value = "delete from export_stretch where export = :export")
    int drop(UUID export);
}
