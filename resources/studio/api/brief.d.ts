/* Made from core/Brief/brief.schema.json by npm run types. */

/**
 * The whole setting of one widget. Members that are missing take their default.
 */
export interface Brief {
  version: 1;
  /**
   * Which entries are looked at.
   */
  gather?: {
    /**
     * Keys of sources; null for all of the site's.
     *
     * @maxItems 200
     */
    sources?: string[] | null;
    /**
     * Kinds of entries; null for all.
     *
     * @minItems 1
     */
    kinds?: ["review" | "testimonial" | "post", ...("review" | "testimonial" | "post")[]] | null;
  };
  /**
   * Which of them may show, in which order, how many.
   */
  sift?: {
    /**
     * Stars from–to, both included; null for any. A rating on another scale is converted by the stated rule first.
     */
    stars?: {
      from?: number;
      to?: number;
      /**
       * What becomes of entries with no rating.
       */
      unrated?: "keep" | "drop";
    } | null;
    /**
     * Only entries with a text; a title alone is none.
     */
    withWords?: boolean;
    order?: "newest" | "oldest" | "highest" | "lowest" | "shuffled";
    limit?: number;
    /**
     * Entries shown first, in this order, whatever the rules say.
     *
     * @maxItems 100
     */
    pins?: string[];
    /**
     * Entries never shown in this widget, pinned or not.
     *
     * @maxItems 2000
     */
    hidden?: string[];
  };
  /**
   * The layout and what it shows.
   */
  shape?: {
    layout?: "list" | "carousel";
    /**
     * Cards side by side where there is room.
     */
    across?: number;
    /**
     * Seconds a slide; null: it stands still.
     */
    autoplay?: number | null;
    /**
     * Characters after which words are shortened; null: never.
     */
    shorten?: number | null;
    card?: ("rating" | "title" | "words" | "name" | "date" | "source" | "reply")[];
    head?: ("overall" | "count" | "spread")[];
    heading?: string | null;
    /**
     * Whether a selection by stars or words says in a line that it is one.
     */
    honest?: boolean;
  };
  dress?: {
    name?: "paper" | "night-ink";
  };
}
