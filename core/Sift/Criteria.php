<?php

declare(strict_types=1);

namespace Gnomic\Sift;

use Gnomic\Json\MemberIsWrong;
use Gnomic\Json\Members;
use Gnomic\Json\Schema\ChoiceSchema;
use Gnomic\Json\Schema\ListSchema;
use Gnomic\Json\Schema\NumberSchema;
use Gnomic\Json\Schema\ObjectSchema;
use Gnomic\Json\Schema\Schema;
use Gnomic\Json\Schema\TextSchema;

/**
 * Which entries a brief wants, in which order and how many: its parts "gather" and "sift", whole. What each clause asks, the
 * clause reads itself; what is asked of all of them together stands here.
 */
final readonly class Criteria
{
    public Order $order;

    public Shuffle $shuffle;

    public Weights $weights;

    public Limits $limits;

    public Most $most;

    /** @var list<string> entries shown first, in this order, whatever the rules say */
    public array $pins;

    /**
     * @param  array<string, mixed>  $gather
     * @param  array<string, mixed>  $sift
     */
    private function __construct(private array $gather, private array $sift)
    {
        $members = Members::of($sift, '/sift');
        $this->order = Order::from($members->string('order'));
        $this->shuffle = Shuffle::from($members->string('shuffle'));
        $this->weights = Weights::read($members->object('balance'));
        $this->limits = Limits::read($members);
        $this->most = Most::read($members->object('most'));
        $this->pins = $members->strings('pins');
    }

    /** @return array{gather: ObjectSchema, sift: ObjectSchema} */
    public static function schemas(): array
    {
        /** @var array{gather: ObjectSchema, sift: ObjectSchema}|null $schemas */
        static $schemas = null;
        if ($schemas === null) {
            $parts = ['gather' => [], 'sift' => []];
            foreach (Clauses::members() + self::members() as $pointer => $schema) {
                [, $part, $name] = explode('/', $pointer);
                $parts[$part === 'gather' ? 'gather' : 'sift'][$name] = $schema;
            }
            $schemas = [
                'gather' => ObjectSchema::of($parts['gather'], about: 'Which entries are looked at.'),
                'sift' => ObjectSchema::of($parts['sift'], about: 'Which of them may show, in which order, how many.'),
            ];
        }

        return $schemas;
    }

    /** @throws MemberIsWrong naming the member and the remedy */
    public static function read(mixed $gather = [], mixed $sift = []): self
    {
        ['gather' => $ofGather, 'sift' => $ofSift] = self::schemas();

        return new self(self::named($ofGather->read($gather, '/gather')), self::named($ofSift->read($sift, '/sift')));
    }

    /** A part of the brief, to read members from. @param  'gather'|'sift'  $part */
    public function part(string $part): Members
    {
        return Members::of($part === 'gather' ? $this->gather : $this->sift, "/$part");
    }

    /**
     * The same with one member changed.
     *
     * @param  string  $pointer  JSON Pointer of a member of "gather" or "sift": "/sift/stars"
     *
     * @throws MemberIsWrong where the member cannot be so
     */
    public function with(string $pointer, mixed $value): self
    {
        [, $part, $name] = explode('/', $pointer);
        $schema = self::schemas()[$part === 'gather' ? 'gather' : 'sift']->member($name)
            ?? throw MemberIsWrong::unknown($pointer, ['gather', 'sift']);
        $changed = [$name => $schema->read($value, $pointer)];

        return $part === 'gather' ? new self($changed + $this->gather, $this->sift) : new self($this->gather, $changed + $this->sift);
    }

    /** @return array{gather: array<string, mixed>, sift: array<string, mixed>} the JSON form, whole: every member written */
    public function toArray(): array
    {
        return [
            'gather' => self::inOrder($this->gather, self::schemas()['gather']),
            'sift' => self::inOrder($this->sift, self::schemas()['sift']),
        ];
    }

    /** @return array<string, Schema> members that are no clause's */
    private static function members(): array
    {
        $ids = fn (int $most, string $about): ListSchema => ListSchema::of(TextSchema::of(1, 600), $most, true, about: $about);

        return [
            '/sift/most' => Most::schema(),
            '/sift/order' => ChoiceSchema::case(Order::Newest),
            '/sift/shuffle' => ChoiceSchema::case(Shuffle::Day, 'How long an order by chance keeps: a day, a visit, or for ever.'),
            '/sift/balance' => Weights::schema(),
            '/sift/limit' => NumberSchema::whole(1, 100, 10),
            '/sift/fewer' => Limits::schema(),
            '/sift/pins' => $ids(100, 'Entries shown first, in this order, whatever the rules say.'),
        ];
    }

    /**
     * @param  array<string, mixed>  $members
     * @return array<string, mixed> always in the same order, whatever was changed last
     */
    private static function inOrder(array $members, ObjectSchema $schema): array
    {
        uksort($members, fn (string $one, string $other): int => $schema->placeOf($one) <=> $schema->placeOf($other));

        return $members;
    }

    /** @return array<string, mixed> */
    private static function named(mixed $read): array
    {
        $named = [];
        foreach (is_array($read) ? $read : [] as $name => $value) {
            $named[(string) $name] = $value;
        }

        return $named;
    }
}
