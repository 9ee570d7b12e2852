<?php

declare(strict_types=1);

namespace Gnomic\Sift;

use Gnomic\Json\Schema\Schema;
use Gnomic\Sift\Clauses\AboutSubjects;
use Gnomic\Sift\Clauses\AllowedByChannel;
use Gnomic\Sift\Clauses\ApartFrom;
use Gnomic\Sift\Clauses\CountedOnce;
use Gnomic\Sift\Clauses\Decided;
use Gnomic\Sift\Clauses\FromChannels;
use Gnomic\Sift\Clauses\FromSources;
use Gnomic\Sift\Clauses\InLanguages;
use Gnomic\Sift\Clauses\Length;
use Gnomic\Sift\Clauses\NeverSaid;
use Gnomic\Sift\Clauses\NotHidden;
use Gnomic\Sift\Clauses\OfKinds;
use Gnomic\Sift\Clauses\Stars;
use Gnomic\Sift\Clauses\StillThere;
use Gnomic\Sift\Clauses\WithHashtags;
use Gnomic\Sift\Clauses\Within;
use Gnomic\Sift\Clauses\WithLabels;
use Gnomic\Sift\Clauses\WithPictures;
use Gnomic\Sift\Clauses\WithReply;
use Gnomic\Sift\Clauses\WithTerms;
use Gnomic\Sift\Clauses\WithWords;

/** All clauses, in the order of the sieve. A new one stands here and nowhere else. */
final class Clauses
{
    /** @var list<class-string<Clause>> */
    public const ALL = [
        FromSources::class, FromChannels::class, AboutSubjects::class, OfKinds::class,
        StillThere::class, CountedOnce::class, Decided::class, NotHidden::class, NeverSaid::class, AllowedByChannel::class,
        ApartFrom::class,
        Stars::class, WithWords::class, Length::class, WithPictures::class, WithReply::class, InLanguages::class, Within::class,
        WithTerms::class, WithHashtags::class, WithLabels::class,
    ];

    /** @return array<string, Schema> members of a brief by JSON Pointer, each with whose it is */
    public static function members(): array
    {
        return array_merge(...array_map(fn (string $clause): array => $clause::members(), self::ALL));
    }

    /** @return class-string<Clause>|null */
    public static function withKey(string $key): ?string
    {
        foreach (self::ALL as $clause) {
            if ($clause::key() === $key) {
                return $clause;
            }
        }

        return null;
    }

    /**
     * What can be asked, for the studio: each topic once.
     *
     * @return list<Topic>
     */
    public static function topics(): array
    {
        $topics = [];
        foreach (self::ALL as $clause) {
            if ($clause::members() !== []) {
                $topics[$clause::topic()->key] = $clause::topic();
            }
        }
        $topics += ['order' => Topic::order(), 'most' => Topic::most(), 'hand' => Topic::hand()];

        return array_values($topics);
    }

    /** @return array<string, Schema> members of a brief that the controls of a topic change, by JSON Pointer */
    public static function membersOf(string $topic): array
    {
        $members = [];
        foreach (self::ALL as $clause) {
            $members += $clause::topic()->key === $topic ? $clause::members() : [];
        }

        return $members;
    }

    /** The topic whose controls change a step of the sieve. */
    public static function topicOf(string $step): string
    {
        return (($clause = self::withKey($step)) === null ? null : $clause::topic()->key) ?? match ($step) {
            'collected' => 'sources',
            'mostOfAuthor', 'mostOfSource' => 'most',
            default => 'order',
        };
    }
}
