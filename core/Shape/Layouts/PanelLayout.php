<?php

declare(strict_types=1);

namespace Gnomic\Shape\Layouts;

use Gnomic\Json\Members;
use Gnomic\Json\Schema\ChoiceSchema;
use Gnomic\Json\Schema\TextSchema;
use Gnomic\Shape\Inset;
use Gnomic\Shape\Layout;
use Gnomic\Shape\Lines\TypeScale;
use Gnomic\Shape\Purpose;

/** A button in the text, a badge in a corner or a tab at an edge of the window; a press opens a panel with everything chosen. */
final readonly class PanelLayout extends Layout
{
    private function __construct(public string $form, public string $side, public ?string $text, private Inset $inset)
    {
    }

    public static function name(): string
    {
        return 'panel';
    }

    public static function label(): string
    {
        return 'Button, badge or tab';
    }

    public static function madeFor(): array
    {
        return [Purpose::OverThePage, Purpose::SmallPlace, Purpose::Figure];
    }

    public static function settings(): array
    {
        return [
            'form' => ChoiceSchema::said(
                [
                    'button' => 'a button in its place',
                    'badge' => 'a badge in a corner',
                    'tab' => 'a tab at the edge',
                ],
                'button',
                'What opens it.',
            ),
            'side' => ChoiceSchema::said(
                ['left' => 'at the left', 'right' => 'at the right', 'below' => 'below'],
                'right',
                'Side of the window.',
            ),
            'text' => TextSchema::orNull(60, 'What it says; null: the overall rating, or "Reviews".'),
        ] + Inset::settings();
    }

    public static function of(Members $settings): self
    {
        $text = trim((string) $settings->stringOrNull('text'));

        return new self($settings->string('form'), $settings->string('side'), $text === '' ? null : $text, Inset::read($settings));
    }

    public function phrase(): string
    {
        return match ($this->form) {
            'button' => 'behind a button',
            'badge' => 'behind a badge in the corner',
            default => 'behind a tab at the edge',
        };
    }

    public static function hasRoom(): bool
    {
        return false;
    }

    public static function flows(): bool
    {
        return false;
    }

    public function ownHeight(): float
    {
        return $this->form === 'button' ? 2.75 : 0.0;
    }

    public function parts(): array
    {
        return ['tool', 'glyphs', ...($this->form === 'button' ? [] : ['over'])];
    }

    public function behaviours(): array
    {
        return $this->form === 'button' ? [] : ['corner'];
    }

    public function style(int $cards, int $gap): array
    {
        return $this->form === 'button' ? [] : $this->inset->style();
    }

    public function opensPanel(): bool
    {
        return true;
    }

    public function scale(): TypeScale
    {
        return TypeScale::even(TypeScale::USUAL);
    }
}
