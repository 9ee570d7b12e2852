{{-- Cards in a row of their own. The templates of their parts are put in where this is compiled (App\Editions\PartTemplates);
    its loops are PHP's own, as there are dozens of turns in each. --}}
<?php foreach ($plan->cards as $place => $card) { ?>
<div class="item{{ $page === '' ? '' : " $page" }}{{ $card->isPicture ? ' pic' : '' }}" data-e="{{ $card->ref }}"@if ($plan->leading()::hasSlides()) role="group" aria-roledescription="{{ $words->say('carousel.slide') }}" aria-label="{{ $words->say('carousel.place', ['at' => $before + $place + 1, 'count' => $count]) }}"@endif>@php($spokenIn = $card->language === $words->language ? '' : ' lang="'.e((string) $card->language).'"')
@php($opens = $card->opens ?? ($enlarges ? ($card->url ?? $plan->all) : null))
<article class="card" part="card">
<?php $within = '';
foreach ($composition::groups($card->blocks, $kind) as $group => $blocks) {
    [$outer, $inner] = str_contains($group, ' ') ? explode(' ', $group) : ['', $group];
    if ($outer !== $within) {
        echo $within === '' ? '' : '</div>', $outer === '' ? '' : "<div class=\"$outer\">";
        $within = $outer;
    } ?>
@if ($inner !== '')
<div class="{{ $inner }}">
@endif
<?php foreach ($blocks as $block) { ?>
@partsOfCard
<?php } ?>
@if ($inner !== '')
</div>
@endif
<?php }
echo $within === '' ? '' : '</div>'; ?>
@if ($opens !== null)
<a class="open" href="{{ $opens }}" rel="{{ $plan->shape->rel }}"{!! $plan->shape->newTab && ! $enlarges ? ' target="_blank"' : '' !!} aria-label="{{ $words->say($enlarges ? 'card.enlarge' : 'card.open', ['name' => $card->called]) }}"></a>
@endif
</article></div>
<?php } ?>
