<?php

declare(strict_types=1);

namespace Gnomic\Place\Check;

use Gnomic\Place\Policy\Need;
use Gnomic\Place\Policy\PolicyQuestion;

/** Whether a widget in a frame is there. @internal */
final readonly class FrameCheck
{
    public function __construct(private FetchedPage $page, private PolicyCheck $policies)
    {
    }

    /**
     * @param  list<string>|null  $headers
     * @return list<CheckFinding>
     */
    public function of(Tag $frame, ?array $headers): array
    {
        if ($frame->isHeld) {
            $isLazy = $frame->element->hasAttribute('data-src') || $frame->element->hasAttribute('data-lazy-src');

            return [new CheckFinding(
                PlacementVerdict::Held,
                $isLazy ? 'The frame waits: for the consent of visitors, or until they scroll to it (lazy loading).'
                    : 'The frame waits until visitors give consent.',
                'Gnomic sets no cookie and keeps nothing: list it as necessary in the settings of the consent banner'
                    .($isLazy ? '; for lazy loading, loading="lazy" with src itself is enough.' : '.'),
            )];
        }
        if ($frame->isHidden()) {
            return [
                new CheckFinding(
                    PlacementVerdict::Hidden,
                    'The frame is inside something that the page hides.',
                    'Move it, or show that part of the page.',
                ),
            ];
        }
        if ($frame->isMixedOn($this->page->address)) {
            return [new CheckFinding(
                PlacementVerdict::Mixed,
                'The page is protected (https) and has a frame without protection (http), which browsers refuse.',
                'Write https:// in the code, and let Gnomic answer there.',
            )];
        }
        $blocked = $headers === null ? null : FrameHeaders::blocks($headers, $this->page->address, $frame->address);
        if ($blocked !== null) {
            return [new CheckFinding(
                PlacementVerdict::FrameBlocked,
                $blocked,
                'Something between Gnomic and its visitors adds this header. Take it away for addresses under /w/.',
            )];
        }
        $told = $this->policies->refusals([new PolicyQuestion(Need::Frame, $frame->address)]);
        $sandbox = $frame->element->hasAttribute('sandbox') ? strtolower($frame->element->getAttribute('sandbox')) : null;
        if ($sandbox !== null && ! str_contains($sandbox, 'allow-scripts')) {
            $told[] = new CheckFinding(
                PlacementVerdict::Partly,
                'The frame has the attribute sandbox, and lets no script run: it keeps its stated height, and links may not open.',
                'Write sandbox="allow-scripts allow-popups allow-popups-to-escape-sandbox", or take the attribute away.',
                'sandbox="allow-scripts allow-popups allow-popups-to-escape-sandbox"',
            );
        }

        return $told;
    }
}
