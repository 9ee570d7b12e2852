<?php

declare(strict_types=1);

namespace Gnomic\Place\Check;

use Gnomic\Place\Policy\ContentPolicy;
use Gnomic\Place\Policy\Need;
use Gnomic\Place\Policy\PolicyQuestion;
use Gnomic\Place\Policy\Refusal;

/** What the policies of a page refuse of a widget, each told once with all that it refuses and all that has to be added. @internal */
final readonly class PolicyCheck
{
    public function __construct(private PageTags $tags, private FetchedPage $page)
    {
    }

    /** @return list<CheckFinding> */
    public function ofScript(Tag $script, bool $hasEdition, string $host, string $key): array
    {
        $nonce = $script->element->getAttribute('nonce');
        $wanted = [
            new PolicyQuestion(
                Need::Script,
                $script->address === '' ? "$host/gnomic.js" : $script->address,
                $nonce,
                $script->element->getAttribute('integrity'),
            ),
            new PolicyQuestion(Need::Script, "$host/b/0123456789ab.js", $nonce),
            new PolicyQuestion(Need::Connect, "$host/w/".$key.'.html'),
            new PolicyQuestion(Need::Picture, "$host/w/p/0-640.webp"),
            ...($hasEdition ? [new PolicyQuestion(Need::Style, null)] : []),
        ];

        return $this->refusals($wanted);
    }

    /**
     * @param  list<PolicyQuestion>  $wanted
     * @return list<CheckFinding>
     */
    public function refusals(array $wanted): array
    {
        $told = [];
        // What a meta element says holds from there on: a script before it has been asked for already.
        $later = count($this->tags->metas) - count($this->tags->laterMetas);
        $metas = 0;
        foreach (ContentPolicy::all($this->page->policies, $this->page->reporting, $this->tags->metas) as $policy) {
            $refusals = [];
            $isLater = $policy->from === 'meta' && $metas++ >= $later;
            foreach ($wanted as $at => $one) {
                if ($isLater && $at === 0 && $one->need === Need::Script) {
                    continue;
                }
                $refusal = $policy->refuses($one, $this->page->address);
                if ($refusal !== null) {
                    $refusals[] = [$refusal, $one];
                }
            }
            if ($refusals !== []) {
                $told[] = self::refusal($policy, $refusals);
            }
        }

        return $told;
    }

    /** @param  non-empty-list<array{Refusal, PolicyQuestion}>  $refusals  of one policy */
    private static function refusal(ContentPolicy $policy, array $refusals): CheckFinding
    {
        $whose = $policy->from === 'meta' ? 'The Content-Security-Policy in a meta element of the page'
            : 'The Content-Security-Policy that the page is sent with';
        $said = $lines = $others = [];
        $isVital = false;
        foreach ($refusals as [$refusal, $wanted]) {
            $isBehaviour = str_contains((string) $wanted->address, '/b/');
            $isVital = $isVital || ($refusal->need->isVital() && ! $isBehaviour);
            $path = $wanted->address === null ? 'styles in the page' : parse_url($wanted->address, PHP_URL_PATH);
            $what = is_string($path) ? $path : $wanted->address;
            $consequence = $isBehaviour ? 'what moves or opens stays still' : $refusal->need->consequence();
            // What follows from a script that does not run need not be told as well.
            if (! ($isBehaviour && $said !== [])) {
                $said[] = "$what by its $refusal->directive ($consequence)";
            }
            $refusal->line === null ? $others[$refusal->next] = true : $lines[$refusal->line] = true;
        }
        $where = $policy->from === 'meta' ? 'in the meta element of the page' : 'in the header of the page';
        $next = [
            ...array_keys($others),
            ...($lines === [] ? [] : ["Write this $where, instead of directives of these names, or as new ones beside the others."]),
        ];
        $verdict = match (true) {
            ! $policy->isEnforced => PlacementVerdict::Reported,
            $isVital => PlacementVerdict::Policy,
            default => PlacementVerdict::Partly,
        };

        return new CheckFinding(
            $verdict,
            ($policy->isEnforced ? "$whose refuses " : 'A report-only policy would refuse ').implode('; ', $said).'.',
            ($policy->isEnforced ? '' : 'Before it is enforced: ').implode(' ', $next),
            $lines === [] ? null : implode('; ', array_keys($lines)),
        );
    }
}
