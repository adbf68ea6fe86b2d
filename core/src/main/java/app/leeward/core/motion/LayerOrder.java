package app.leeward.core.motion;

import java.util.ArrayList;
import java.util.List;

/**
 * One order that holds the orders of many pictures: each picture shows some of its places, and never has to go back. What is
 * stacked the other way round at times has two places.
 *
 * <p>A picture that does not fit is merged in by a shortest common supersequence (dynamic programming over the two orders), so that
 * no more places come to be than these two need.
 */
final class LayerOrder<T> {
    private List<T> places = new ArrayList<>();

    List<T> places() {
        return List.copyOf(places);
    }

    /** Makes room for one more picture. */
    void add(List<T> picture) {
        if (fits(picture) == null) {
            places = merged(places, picture);
        }
    }

    /**
     * The place of each thing of a picture that was added.
     *
     * @throws IllegalArgumentException for a picture that was not
     */
    int[] of(List<T> picture) {
        int[] at = fits(picture);
        if (at == null) {
            throw new IllegalArgumentException("a picture in another order: " + picture);
        }
        return at;
    }

    /** Each thing at the first place it can have; null when one has none. */
    private int[] fits(List<T> picture) {
        int[] at = new int[picture.size()];
        int place = 0;
        for (int i = 0; i < at.length; i++) {
            while (place < places.size() && !places.get(place).equals(picture.get(i))) {
                place++;
            }
            if (place == places.size()) {
                return null;
            }
            at[i] = place++;
        }
        return at;
    }

    private static <T> List<T> merged(List<T> a, List<T> b) {
        int[][] common = new int[a.size() + 1][b.size() + 1];
        for (int i = a.size() - 1; i >= 0; i--) {
            for (int j = b.size() - 1; j >= 0; j--) {
                common[i][j] = a.get(i).equals(b.get(j))
                        ? common[i + 1][j + 1] + 1
                        : Math.max(common[i + 1][j], common[i][j + 1]);
            }
        }
        List<T> all = new ArrayList<>();
        int i = 0;
        int j = 0;
        while (i < a.size() || j < b.size()) {
            if (i < a.size() && j < b.size() && a.get(i).equals(b.get(j))) {
                all.add(a.get(i++));
                j++;
            } else if (j == b.size() || i < a.size() && common[i + 1][j] >= common[i][j + 1]) {
                all.add(a.get(i++));
            } else {
                all.add(b.get(j++));
            }
        }
        return all;
    }
}
