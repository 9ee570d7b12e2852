@php($layout = $plan->layout())
<button type="button" class="opener {{ $layout->form }}{{ $plan->head->base === null ? ' bare' : '' }} at-{{ $layout->side }}" popovertarget="panel">
@if ($layout->text !== null)
<span dir="auto">{{ $layout->text }}</span>
@elseif ($plan->head->figure !== null)
{!! $layout->form === 'tab' ? $glyphs->sign() : $glyphs->rating($tokens, $plan->head->twentieths, null) !!}<b>{{ $plan->head->figure }}</b> <span class="brief">{{ $words->say('widget.name') }}</span>@if ($plan->head->base !== null)<span class="long">{{ $plan->head->base }}</span>@endif
@else
<span>{{ $words->say('widget.name') }}</span>
@endif
</button>
<dialog class="panel at-{{ $layout->side }}" id="panel" popover aria-label="{{ $plan->head->heading ?? $words->say('widget.name') }}">
<button type="button" class="tool close" part="control" popovertarget="panel" popovertargetaction="hide" aria-label="{{ $words->say('large.close') }}" autofocus><svg viewBox="0 0 24 24" aria-hidden="true"><path d="M5 5l14 14M19 5L5 19"/></svg></button>
@include('widget::flow')
</dialog>
