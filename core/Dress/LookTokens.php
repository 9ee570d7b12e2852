<?php

declare(strict_types=1);

namespace Gnomic\Dress;

use Gnomic\Json\MemberIsWrong;
use Gnomic\Json\Members;
use Gnomic\Json\Schema\ChoiceSchema;
use Gnomic\Json\Schema\NumberSchema;
use Gnomic\Json\Schema\ObjectSchema;
use Gnomic\Json\Schema\Schema;
use Gnomic\Json\Schema\TextSchema;

/** The tokens of a look that are no colours. Lengths are CSS pixels at the usual size of letters. */
final readonly class LookTokens
{
    /** Glyphs of ratings, drawn by us: what is read for each. */
    public const GLYPHS = ['star' => 'stars', 'lozenge' => 'lozenges', 'dot' => 'dots', 'bar' => 'bars', 'heart' => 'hearts'];

    /** Those that praise by themselves, and what a low rating has instead. */
    public const NEUTRAL = ['heart' => 'dot'];

    /** How the head stands: what is at one line with the heading, below it, in the middle, or with the figure very large. */
    public const HEADS = [
        'line' => 'on one line', 'stacked' => 'one below the other', 'centred' => 'in the middle', 'figure' => 'with a large figure',
    ];

    /** Where lines part cards: between rows, or between all of them. */
    public const LINES = ['rows' => 'between rows', 'all' => 'between all cards'];

    public const HOVERS = ['none' => 'nothing', 'lift' => 'the card rises', 'line' => 'its edge is drawn', 'fade' => 'others fade'];

    /** How capitals stand in headings and on buttons: as they were written, or as CSS Text 3 makes them. */
    public const CASES = ['written' => 'as written', 'upper' => 'all capitals', 'lower' => 'no capitals', 'title' => 'each word'];

    /** How links are told from other words. */
    public const LINKS = [
        'line' => 'by a line', 'thick' => 'by a thick line', 'dotted' => 'by a dotted line', 'pointed' => 'by a line under the pointer',
    ];

    /** Size of words on cards, in that of the letters around them: what TypeScale has as usual. */
    public const WORDS = 1.0625;

    /** Width of screens, in CSS pixels, that sizes of narrow ones are of, and that the others are of; between them they grow. */
    public const NARROW = 390;

    public const WIDE = 1280;

    /** What a look has that does not say. */
    private const USUAL = [
        'angle' => 180, 'picture' => null, 'text' => null, 'headings' => null, 'size' => 100, 'weight' => 700, 'leading' => 153,
        'corner' => 3, 'rule' => 1, 'edge' => 0, 'shadow' => 0, 'gap' => null, 'inset' => 0, 'pictureCorner' => 0, 'pictureEdge' => 0,
        'glyph' => 'star', 'glyphSize' => 100, 'hover' => 'none', 'quotes' => 1, 'head' => 'line',
        'lines' => 'rows', 'measure' => 68, 'pad' => 28, 'sizeNarrow' => null, 'insetNarrow' => null,
        'headingSize' => null, 'headingNarrow' => null,
        'headingLeading' => 125, 'headingCase' => 'written', 'headingSpacing' => 0, 'buttonCorner' => null, 'buttonWeight' => 600,
        'buttonCase' => 'written', 'links' => 'line', 'hang' => 0,
    ];

    /** What a look had that did not say, before looks brought a composition. */
    private const EARLIER = ['leading' => 150, 'glyph' => 'lozenge', 'quotes' => 0, 'head' => 'stacked', 'lines' => 'all', 'pad' => 18];

    /** Families of fonts as CSS writes them, and nothing else. */
    private const FAMILY = '^[^;{}()\\\\<>@!/:]+$';

    public int $angle;

    /** Address of a picture behind everything. */
    public ?string $picture;

    /** Fonts of the text, and of the headings; null: the page's own. */
    public ?string $text;

    public ?string $headings;

    /** Of letters, in hundredths of the usual size. */
    public int $size;

    /** Of headings. */
    public int $weight;

    /** Of words, in hundredths of their size. */
    public int $leading;

    public int $corner;

    /** How thick lines between cards are, and how thick the edge of a card is. */
    public int $rule;

    public int $edge;

    /** 0 to 4. */
    public int $shadow;

    /** Between cards; null: layout default. */
    public ?int $gap;

    /** Between the edge of a card and what is on it. */
    public int $inset;

    public int $pictureCorner;

    public int $pictureEdge;

    /** Of GLYPHS. */
    public string $glyph;

    /** In hundredths of the usual size. */
    public int $glyphSize;

    /** Of HOVERS. */
    public string $hover;

    /** 1 where words stand in the quotation marks of their language. */
    public int $quotes;

    /** Of HEADS. */
    public string $head;

    /** Of LINES. */
    public string $lines;

    /** Above and below what is on cards that lines part. */
    public int $pad;

    /** How long lines of words become at most, in characters of about half their size. */
    public int $measure;

    /** Of letters on narrow screens, in hundredths of the usual size; null: as on others. */
    public ?int $sizeNarrow;

    /** Between the edge of a card and what is on it where the widget is narrow; null: as elsewhere. */
    public ?int $insetNarrow;

    /** Of headings, in hundredths of the letters around; null: as the head has it. On narrow screens; null: as on others. */
    public ?int $headingSize;

    public ?int $headingNarrow;

    /** In hundredths of their size. */
    public int $headingLeading;

    /** Of CASES. */
    public string $headingCase;

    /** Between letters of headings, in thousandths of their size. */
    public int $headingSpacing;

    /** Of painted buttons; null: as of cards. */
    public ?int $buttonCorner;

    public int $buttonWeight;

    /** Of CASES. */
    public string $buttonCase;

    /** Of LINKS. */
    public string $links;

    /** 1 where painted cards hang out of the column, so that words on them stand on the lines of the page. */
    public int $hang;

    /** @param  array<string, mixed>  $members  whole */
    private function __construct(private array $members)
    {
        $of = Members::of($members, '/tokens');
        $this->angle = (int) $of->intOrNull('angle');
        $this->picture = $of->stringOrNull('picture');
        $this->text = $of->stringOrNull('text');
        $this->headings = $of->stringOrNull('headings');
        $this->size = (int) $of->intOrNull('size');
        $this->weight = (int) $of->intOrNull('weight');
        $this->leading = (int) $of->intOrNull('leading');
        $this->corner = (int) $of->intOrNull('corner');
        $this->rule = (int) $of->intOrNull('rule');
        $this->edge = (int) $of->intOrNull('edge');
        $this->shadow = (int) $of->intOrNull('shadow');
        $this->gap = $of->intOrNull('gap');
        $this->inset = (int) $of->intOrNull('inset');
        $this->pictureCorner = (int) $of->intOrNull('pictureCorner');
        $this->pictureEdge = (int) $of->intOrNull('pictureEdge');
        $this->glyph = $of->string('glyph');
        $this->glyphSize = (int) $of->intOrNull('glyphSize');
        $this->hover = $of->string('hover');
        $this->quotes = (int) $of->intOrNull('quotes');
        $this->head = $of->string('head');
        $this->lines = $of->string('lines');
        $this->pad = (int) $of->intOrNull('pad');
        $this->measure = (int) $of->intOrNull('measure');
        $this->sizeNarrow = $of->intOrNull('sizeNarrow');
        $this->insetNarrow = $of->intOrNull('insetNarrow');
        $this->headingSize = $of->intOrNull('headingSize');
        $this->headingNarrow = $of->intOrNull('headingNarrow');
        $this->headingLeading = (int) $of->intOrNull('headingLeading');
        $this->headingCase = $of->string('headingCase');
        $this->headingSpacing = (int) $of->intOrNull('headingSpacing');
        $this->buttonCorner = $of->intOrNull('buttonCorner');
        $this->buttonWeight = (int) $of->intOrNull('buttonWeight');
        $this->buttonCase = $of->string('buttonCase');
        $this->links = $of->string('links');
        $this->hang = (int) $of->intOrNull('hang');
    }

    public static function usual(): self
    {
        return new self(self::USUAL);
    }

    /** @return array<string, Schema> each may be null: as the look has it */
    private static function members(): array
    {
        $family = fn (string $of): TextSchema => TextSchema::matchingOrNull(
            self::FAMILY,
            'a list of font families such as "Georgia, serif"',
            200,
            "Font of $of, among those that the page has loaded; null: as the look has it, or else the page's own.",
        );

        return [
            'angle' => NumberSchema::whole(0, 360, about: 'Degrees of a gradient of the ground.'),
            'picture' => TextSchema::addressOrNull('Address of a picture behind everything.'),
            'text' => $family('words'),
            'headings' => $family('headings'),
            'size' => NumberSchema::whole(60, 200, about: 'Size of letters in hundredths.'),
            'weight' => NumberSchema::whole(300, 900, about: 'Weight of headings.'),
            'leading' => NumberSchema::whole(100, 220, about: 'Height of lines of words, in hundredths of their size.'),
            'corner' => NumberSchema::whole(0, 32, about: 'Pixels that corners are rounded by.'),
            'rule' => NumberSchema::whole(0, 4, about: 'Pixels of the lines between cards.'),
            'edge' => NumberSchema::whole(0, 4, about: 'Pixels of the line around a card.'),
            'shadow' => NumberSchema::whole(0, 4, about: 'How high cards stand over the ground.'),
            'gap' => NumberSchema::whole(0, 80, about: 'Pixels between cards; null: as the look or the layout has it.'),
            'inset' => NumberSchema::whole(0, 64, about: 'Pixels between the edge of a card and what is on it.'),
            'pictureCorner' => NumberSchema::whole(0, 32, about: 'Pixels that corners of pictures are rounded by.'),
            'pictureEdge' => NumberSchema::whole(0, 4, about: 'Pixels of the line around a picture.'),
            'glyph' => ChoiceSchema::orNull(self::GLYPHS, 'What ratings are drawn with.'),
            'glyphSize' => NumberSchema::whole(70, 200, about: 'Size of those in hundredths.'),
            'hover' => ChoiceSchema::orNull(self::HOVERS, 'What happens under the pointer.'),
            'quotes' => NumberSchema::whole(0, 1, about: 'Whether words stand in the quotation marks of their language.'),
            'head' => ChoiceSchema::orNull(self::HEADS, 'How the heading and the figures stand to each other.'),
            'lines' => ChoiceSchema::orNull(self::LINES, 'Where lines part cards.'),
            'pad' => NumberSchema::whole(4, 64, about: 'Pixels above and below what is on cards that lines part.'),
            'measure' => NumberSchema::whole(
                30,
                90,
                about: 'How long lines of words become at most, in characters, of about half their size each.',
            ),
            'sizeNarrow' => NumberSchema::whole(60, 200, about: 'Size of letters on narrow screens, in hundredths; null: as on others.'),
            'insetNarrow' => NumberSchema::whole(0, 64, about: 'The same within cards where the widget is narrow; null: as elsewhere.'),
            'headingSize' => NumberSchema::whole(60, 500, about: 'Size of headings, in hundredths of letters; null: as the head has it.'),
            'headingNarrow' => NumberSchema::whole(60, 500, about: 'Size of headings on narrow screens; null: as on others.'),
            'headingLeading' => NumberSchema::whole(80, 220, about: 'Height of lines of headings, in hundredths of their size.'),
            'headingCase' => ChoiceSchema::orNull(self::CASES, 'How capitals stand in headings.'),
            'headingSpacing' => NumberSchema::whole(
                -100,
                400,
                about: 'Between letters of headings, in thousandths of their size.',
            ),
            'buttonCorner' => NumberSchema::whole(0, 32, about: 'Pixels that corners of painted buttons are rounded by.'),
            'buttonWeight' => NumberSchema::whole(300, 900, about: 'Weight of words on painted buttons.'),
            'buttonCase' => ChoiceSchema::orNull(self::CASES, 'How capitals stand on painted buttons.'),
            'links' => ChoiceSchema::orNull(self::LINKS, 'How links are told from other words.'),
            'hang' => NumberSchema::whole(0, 1, about: 'Whether what is painted hangs out, so that words stand on the page\'s lines.'),
        ];
    }

    /** What a brief changes of a look. */
    public static function changes(string $about): ObjectSchema
    {
        return ObjectSchema::of(self::members(), about: $about);
    }

    /**
     * @param  array<array-key, mixed>  $given  what is missing is as usual
     * @param  bool  $isEarlier  whether it was written before looks brought a composition
     *
     * @throws MemberIsWrong naming the token and the remedy
     */
    public static function read(array $given, string $pointer, bool $isEarlier = false): self
    {
        $read = self::changes('')->read($given === [] ? [] : $given, $pointer);

        return self::usual()->changed($isEarlier ? self::EARLIER : [])->changed(is_array($read) ? $read : []);
    }

    /** @param  array<array-key, mixed>  $changes  read by changes(); null: as it was */
    public function changed(array $changes): self
    {
        $changes = array_filter($changes, fn (mixed $value): bool => $value !== null);

        return new self(array_intersect_key($changes, self::USUAL) + $this->members);
    }

    public function pictured(?string $address): self
    {
        return new self(['picture' => $address] + $this->members);
    }

    /** Size of letters on a screen so wide, in hundredths. @param  int  $width  CSS pixels */
    public function sizeAt(int $width): float
    {
        return self::between($this->sizeNarrow ?? $this->size, $this->size, $width);
    }

    /** Size of headings there, in em; null: as the head has it. */
    public function headingAt(int $width): ?float
    {
        return $this->headingSize === null ? null
            : self::between($this->headingNarrow ?? $this->headingSize, $this->headingSize, $width) / 100;
    }

    private static function between(int $narrow, int $wide, int $width): float
    {
        $share = max(0.0, min(1.0, ($width - self::NARROW) / (self::WIDE - self::NARROW)));

        return $narrow + ($wide - $narrow) * $share;
    }

    /** Whether cards are boxes, with room within and around them; else lines part them. */
    public function isBoxed(): bool
    {
        return $this->inset > 0;
    }

    /** @return array<string, mixed> every token */
    public function toArray(): array
    {
        return array_replace(self::USUAL, $this->members);
    }
}
