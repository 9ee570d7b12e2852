<div class="words{{ $part->isQuoted ? ' q' : '' }}{{ $steps[$card->ref] ?? '' }}" part="words" dir="auto"{!! $spokenIn !!}><p>{!! isset($leads[$card->ref]) ? '<span class="lead">'.e($leads[$card->ref]).'</span> '.nl2br(e(ltrim(substr($part->text, strlen($leads[$card->ref])))), false) : nl2br(e($part->text), false) !!}@if ($part->rest !== null)@if ($part->isCut)<span class="cut">&nbsp;…</span>@endif<span class="rest">{!! nl2br(e($part->rest), false) !!}</span>@endif</p></div>
@if ($part->rest !== null || in_array($card->ref, $clamped, true))
<details class="more" part="more"><summary><span class="on">{{ $words->say('card.more') }}</span><span class="off">{{ $words->say('card.less') }}</span><span class="unseen"> {{ $card->called }}</span></summary></details>
@endif

