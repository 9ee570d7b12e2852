<?php

declare(strict_types=1);

namespace Gnomic\Entry;

use DateTimeImmutable;
use Gnomic\Text\Address;
use LogicException;

/**
 * One review, testimonial or post in the common form, whatever brought it. Absent is null, never a guess. Whatever way it came:
 * its identifier is not empty, its addresses are the web's (others are left out), and what its markup shows is among its media.
 */
final readonly class Entry
{
    public ?string $url;

    /** @var list<Media> */
    public array $media;

    /**
     * @param  string  $id  identity within its source, or within the file it came from; never empty
     * @param  string  $text  plain text, line breaks kept; empty where nothing was written
     * @param  string|null  $html  the same words as sanitised HTML
     * @param  string|null  $url  address at the source
     * @param  string|null  $language  BCP 47 tag
     * @param  DateTimeImmutable|null  $updated  when it was edited at the source
     * @param  list<Media>  $media
     * @param  list<string>  $tags  hashtags and labels, without the sign
     * @param  bool  $verified  whether the source says that it has made sure of it
     * @param  list<Comment>  $said  what was said under it, the first twenty
     * @param  string|null  $original  the words as they came, where tidying or sanitising changed them; kept, not shown
     */
    public function __construct(
        public string $id,
        public Kind $kind,
        public ?string $source = null,
        public ?string $subject = null,
        ?string $url = null,
        public Author $author = new Author,
        public ?Rating $rating = null,
        public ?string $title = null,
        public string $text = '',
        public ?string $html = null,
        public ?string $language = null,
        public ?DateTimeImmutable $published = null,
        public ?DateTimeImmutable $updated = null,
        public ?Reply $reply = null,
        array $media = [],
        public array $tags = [],
        public ?int $likes = null,
        public ?int $comments = null,
        public ?string $original = null,
        public bool $verified = false,
        public ?Translation $translation = null,
        public array $said = [],
    ) {
        if ($id === '') {
            throw new LogicException('An entry needs an identifier.');
        }
        $this->url = Address::webOrNull($url, null);
        $this->media = array_values(array_filter($media, fn (Media $one): bool => Address::isWeb($one->url)));
    }

    /** The same entry as part of a source. */
    public function from(string $source, string $id): self
    {
        return $this->with(id: $id, source: $source);
    }

    /**
     * The same entry with these members instead; null keeps what is there.
     *
     * @param  list<Media>|null  $media
     */
    public function with(
        ?string $id = null,
        ?string $source = null,
        ?string $subject = null,
        ?Author $author = null,
        ?string $language = null,
        ?array $media = null,
    ): self {
        return new self(
            id: $id ?? $this->id,
            kind: $this->kind,
            source: $source ?? $this->source,
            subject: $subject ?? $this->subject,
            url: $this->url,
            author: $author ?? $this->author,
            rating: $this->rating,
            title: $this->title,
            text: $this->text,
            html: $this->html,
            language: $language ?? $this->language,
            published: $this->published,
            updated: $this->updated,
            reply: $this->reply,
            media: $media ?? $this->media,
            tags: $this->tags,
            likes: $this->likes,
            comments: $this->comments,
            original: $this->original,
            verified: $this->verified,
            translation: $this->translation,
            said: $this->said,
        );
    }

    /** Stars, 1 to 5 by the stated conversion; null where it is not rated. */
    public function stars(): ?float
    {
        return $this->rating?->stars();
    }

    /** Length of the words in characters as a reader counts them (grapheme clusters, UAX #29). The title does not count. */
    public function length(): int
    {
        return (int) grapheme_strlen(trim($this->text));
    }
}
